import { router } from "@inertiajs/react"
import { useCallback, useRef, useState } from "react"
import { clientId, Refused, send } from "@/lib/api"
import type { Pot } from "@/types"

type Answer = { pot: Pot } | { location: string }

/** A mix and what the hand does to it. A touch that did not arrive is sent again with its own id and time, so that nothing is poured twice. */
export function useMix(first: Pot) {
  const [pot, setPot] = useState(first)
  const [trouble, setTrouble] = useState("")
  const [busy, setBusy] = useState(false)
  const kept = useRef<{ key: string; body: Record<string, unknown> } | null>(null)

  const touch = useCallback(
    async (what: string, body: Record<string, unknown> = {}): Promise<boolean> => {
      const url = `/mix/${first.id}/${what}`
      const key = url + JSON.stringify(body)
      const whole =
        kept.current?.key === key
          ? kept.current.body
          : { ...body, client_id: clientId(), happened_at: new Date().toISOString() }
      setBusy(true)
      try {
        const answer = await send<Answer>("POST", url, whole)
        if ("location" in answer) router.visit(answer.location)
        else setPot(answer.pot)
        setTrouble("")
        kept.current = null
        return true
      } catch (error) {
        if (!(error instanceof Refused)) throw error
        setTrouble(error.reason.sentence)
        kept.current = error.status === 0 ? { key, body: whole } : null
        return false
      } finally {
        setBusy(false)
      }
    },
    [first.id],
  )
  return { pot, trouble, busy, touch, dismiss: () => setTrouble("") }
}
