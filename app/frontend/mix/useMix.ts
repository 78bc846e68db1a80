import { router } from "@inertiajs/react"
import { useCallback, useMemo, useState } from "react"
import { useOutbox } from "@/outbox/useOutbox"
import { usePlace } from "@/outbox/usePlace"
import type { Pot } from "@/types"
import { potAhead } from "./potAhead"

type Answer = { pot: Pot } | { location: string }

const WORDS: Record<string, (pot: Pot, body: Record<string, unknown>) => string> = {
  pours: (pot, { name, g, typed }) => `Poured ${name}${typed ? `, ${typed}` : g ? `, ${g} g` : ""}, ${pot.name}`,
  take_back: (pot) => `Pour taken back, ${pot.name}`,
  finish: (pot) => `Mix done with, ${pot.name}`,
  discard: (pot) => `Mix thrown away, ${pot.name}`,
  way: (pot) => `Way on after a pour, ${pot.name}`,
}

/**
 * A mix and what the hand does to it, on this device first: what the server does not have yet is in the pot all the
 * same.
 */
export function useMix(first: Pot, keptAt?: number) {
  const place = `/mix/${first.id}`
  const begun = useMemo((): Answer => ({ pot: first }), [first])
  const { state, at } = usePlace<Answer>({ place, first: begun, keptAt })
  const { box, unsent } = useOutbox()
  const [trouble, setTrouble] = useState("")
  const [busy, setBusy] = useState(false)
  const pot = "pot" in state ? state.pot : first
  const mine = useMemo(() => unsent.filter((touch) => touch.place === place), [unsent, place])
  const ahead = useMemo(() => potAhead(pot, mine), [pot, mine])

  const touch = useCallback(
    async (what: string, body: Record<string, unknown> = {}): Promise<boolean> => {
      setBusy(true)
      const outcome = await box.hand({
        place,
        path: `${place}/${what}`,
        body: { ...body, happened_at: new Date().toISOString() },
        words: WORDS[what]?.(pot, body) ?? pot.name,
      })
      setBusy(false)
      setTrouble(typeof outcome === "object" ? outcome.reason.sentence : "")
      return typeof outcome === "string"
    },
    [box, place, pot],
  )
  const on = "location" in state ? state.location : null
  return { ...ahead, at, on, trouble, busy, touch, dismiss: () => setTrouble("") }
}

/** Another mix goes on in the place of this one. */
export const goOnAt = (path: string): void => router.visit(path)
