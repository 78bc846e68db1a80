import { router } from "@inertiajs/react"
import { useCallback, useRef, useState } from "react"
import { clientId, send as request } from "@/lib/api"
import { isLater, useSend } from "@/lib/requests"
import type { Pot } from "@/types"

type Answer = { pot: Pot } | { location: string }

/**
 * A mix and what the hand does to it. A touch that did not arrive is sent again with its own id and time, so that
 * nothing is poured twice.
 */
export function useMix(first: Pot) {
  const [pot, setPot] = useState(first)
  const { send, error, busy, dismiss } = useSend()
  const kept = useRef<{ key: string; body: Record<string, unknown> } | null>(null)

  const touch = useCallback(
    async (what: string, body: Record<string, unknown> = {}): Promise<boolean> => {
      const url = `/mix/${first.id}/${what}`
      const key = url + JSON.stringify(body)
      const whole =
        kept.current?.key === key
          ? kept.current.body
          : { ...body, client_id: clientId(), happened_at: new Date().toISOString() }
      kept.current = { key, body: whole }
      const arrived = () => {
        kept.current = null
      }
      return send(
        () =>
          request<Answer>("POST", url, whole).catch((refusal: unknown) => {
            if (!isLater(refusal)) arrived()
            throw refusal
          }),
        (answer) => {
          arrived()
          if ("location" in answer) router.visit(answer.location)
          else setPot(answer.pot)
        },
      )
    },
    [first.id, send],
  )
  return { pot, trouble: error?.sentence ?? "", busy, touch, dismiss }
}
