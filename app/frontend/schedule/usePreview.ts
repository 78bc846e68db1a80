import { useEffect, useRef, useState } from "react"
import { send } from "@/lib/api"
import type { Operation, Sheet } from "@/types"

/** What an edit would make of the schedule: computed by the server, not kept. Stale questions are aborted. */
export function usePreview(url: string, revision: number, face: string) {
  const [preview, setPreview] = useState<{ key: string; sheet: Sheet } | null>(null)
  const asking = useRef<AbortController | null>(null)
  const known = useRef(new Map<string, Sheet>())
  const [ready, setReady] = useState<Record<string, number | null>>({})

  // biome-ignore lint/correctness/useExhaustiveDependencies: another revision makes all answers void
  useEffect(() => {
    known.current.clear()
    setPreview(null)
    setReady({})
  }, [revision, face])

  const ask = async (operation: Operation, show = true) => {
    const key = JSON.stringify(operation)
    const preview = known.current.get(key)
    if (preview) return show && setPreview({ key, sheet: preview })
    if (show) asking.current?.abort()
    const controller = new AbortController()
    if (show) asking.current = controller
    try {
      const { sheet } = await send<{ sheet: Sheet }>("POST", `${url}/what_if`, { operation, face }, controller.signal)
      known.current.set(key, sheet)
      setReady((before) => ({ ...before, [key]: sheet.ready_at }))
      if (show) setPreview({ key, sheet })
    } catch {
      // A preview that cannot be had is no trouble: the action itself will say why.
    }
  }
  return { preview, ready, ask, drop: () => setPreview(null) }
}
