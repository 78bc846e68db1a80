import { useQueryClient } from "@tanstack/react-query"
import { useEffect, useRef, useState } from "react"
import { send } from "@/lib/api"
import type { Operation, Sheet } from "@/types"

const KEPT_MS = 60_000

/**
 * What an edit would make of the schedule: computed by the server, not kept. A question that is no longer shown is
 * given up.
 */
export function usePreview(url: string, revision: number, face: string) {
  const client = useQueryClient()
  const [preview, setPreview] = useState<{ key: string; sheet: Sheet } | null>(null)
  const [ready, setReady] = useState<Record<string, number | null>>({})
  const shown = useRef<readonly unknown[] | null>(null)

  // biome-ignore lint/correctness/useExhaustiveDependencies: another revision makes all answers void
  useEffect(() => {
    setPreview(null)
    setReady({})
  }, [revision, face])

  const ask = async (operation: Operation, show = true) => {
    const key = JSON.stringify(operation)
    const queryKey = ["what_if", url, revision, face, operation]
    if (show && shown.current) void client.cancelQueries({ queryKey: shown.current, exact: true })
    if (show) shown.current = queryKey
    try {
      const { sheet } = await client.fetchQuery({
        queryKey,
        queryFn: ({ signal }) =>
          send<{ sheet: Sheet | null }>("POST", `${url}/what_if`, { operation, face, base: revision }, signal),
        staleTime: Number.POSITIVE_INFINITY,
        gcTime: KEPT_MS,
      })
      if (!sheet) return
      setReady((before) => ({ ...before, [key]: sheet.ready_at }))
      if (show && shown.current === queryKey) setPreview({ key, sheet })
    } catch {
      // A preview that cannot be had is no trouble: the action itself will say why.
    }
  }
  const drop = () => {
    shown.current = null
    setPreview(null)
  }
  return { preview, ready, ask, drop }
}
