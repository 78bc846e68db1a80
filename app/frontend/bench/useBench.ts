import { skipToken, useMutationState, useQuery, useQueryClient } from "@tanstack/react-query"
import { useEffect, useState } from "react"
import { clientId } from "@/lib/api"
import type { BenchPage } from "@/types"
import type { Touch, Unsent } from "./touch"
import { BENCH, TOUCH, TouchQueue } from "./touchQueue"

// A touch that the server has not answered by then is called unsent.
const SLOW_MS = 3_000

/** The bench and its log: what is shown, the touches that the server does not have yet, and the ways to touch. */
export function useBench(first: BenchPage) {
  const client = useQueryClient()
  const state = useQuery<BenchPage>({ queryKey: BENCH, queryFn: skipToken, initialData: first }).data ?? first
  const [queue] = useState(() => new TouchQueue(client))
  const [dismissed, setDismissed] = useState("")
  useEffect(() => {
    client.setQueryData(BENCH, first)
  }, [client, first])

  const sendings = useMutationState({
    filters: { mutationKey: TOUCH },
    select: ({ state }) => ({
      touch: state.variables as Unsent,
      failure: state.failureReason?.message ?? "",
      refused: state.status === "error" ? (state.error?.message ?? "") : undefined,
    }),
  })
  const head = sendings.find(({ refused }) => refused === undefined)
  const slow = useSlow(head?.touch.client_id)

  const touch = (what: Touch) => {
    const row = [...state.bench.running, ...state.bench.upcoming, ...state.bench.today].find(
      (candidate) => candidate.key === what.pass,
    )
    queue.add({ ...what, client_id: clientId(), happened_at: new Date().toISOString(), words: row?.words })
  }
  return {
    ...state,
    unsent: sendings.map(({ touch, refused }): Unsent => ({ ...touch, refused })),
    waiting: head !== undefined && (slow || head.failure !== "" || !navigator.onLine),
    trouble: head && head.touch.client_id !== dismissed ? head.failure : "",
    touch,
    again: (id: string) => queue.again(id),
    takeBack: (id: string) => queue.takeBack(id),
    dismiss: () => setDismissed(head?.touch.client_id ?? ""),
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
