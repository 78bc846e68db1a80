import { type QueryClient, useMutationState, useQueryClient } from "@tanstack/react-query"
import { useEffect, useState } from "react"
import type { Kept } from "./kept"
import { Outbox, SLOW_MS, TOUCH } from "./Outbox"

const boxes = new WeakMap<QueryClient, Outbox>()

/** The one queue of this page. */
export function outboxOf(client: QueryClient): Outbox {
  const box = boxes.get(client) ?? new Outbox(client)
  boxes.set(client, box)
  return box
}

/** What this device keeps for the server, whether it waits for it, and the ways to deal with it. */
export function useOutbox() {
  const client = useQueryClient()
  const box = outboxOf(client)
  const sendings = useMutationState({
    filters: { mutationKey: TOUCH },
    select: ({ state }) => ({
      touch: state.variables as Kept,
      failure: state.failureReason?.message ?? "",
      refused: state.status === "error" ? (state.error?.message ?? "") : undefined,
    }),
  })
  const touches = sendings.map(({ touch, refused }): Kept => ({ ...touch, refused }))
  const head = sendings.find(({ touch, refused }) => refused === undefined && !touch.settle)
  const slow = useSlow(head?.touch.client_id)
  return {
    box,
    /** In the order they were made, those of every page. */
    unsent: touches.filter(({ settle }) => !settle),
    /** With those that the server has, and of which is not known yet what they came to. */
    unsettled: touches,
    waiting: head !== undefined && (slow || head.failure !== "" || !navigator.onLine),
    /** Why the touch at the head has not gone out yet. */
    trouble: head?.failure ?? "",
  }
}

/** Whether the touch at the head of the queue has been on its way for long. */
function useSlow(id: string | undefined): boolean {
  const [slow, setSlow] = useState<string>()
  useEffect(() => {
    if (!id) return
    const timer = setTimeout(() => setSlow(id), SLOW_MS)
    return () => clearTimeout(timer)
  }, [id])
  return id !== undefined && slow === id
}
