import type { Kept } from "@/outbox/kept"
import type { Pot, Pour } from "@/types"

/** The last pour of a pot, in the log or on this device. */
export type LastPour = { name: string; grams: number; takesBack: { entry: number } | { touch: string } }

export type PotAhead = {
  pot: Pot
  last: LastPour | null
  /** Poured outside its band here: what the others need is computed by the shop's computer alone. */
  outside: string | null
}

/** Weights typed as plain numbers; what is written otherwise is read by the server. */
const grams = ({ g, typed }: Record<string, unknown>): number | null => {
  if (typeof g === "number") return g
  const plain = /^\s*(\d+(?:[.,]\d+)?)\s*g?\s*$/.exec(String(typed ?? ""))?.[1]
  return plain ? Number(plain.replace(",", ".")) : null
}

/** The pot as it is with what was poured here and the server does not have yet; refused touches did not happen. */
export function potAhead(pot: Pot, unsent: Kept[]): PotAhead {
  const happened = unsent.filter(({ refused }) => refused === undefined)
  const back = new Set(happened.map(({ body }) => body.touch).filter(Boolean))
  const entries = new Set(happened.map(({ body }) => body.entry).filter(Boolean))
  const poured = happened.filter(({ path, client_id }) => path.endsWith("/pours") && !back.has(client_id))
  const start: PotAhead = { pot: without(pot, entries), last: lastOf(pot, entries), outside: null }
  const ahead = poured.reduce((state, touch) => pour(state, touch), start)
  const closes = happened.some(({ path }) => path.endsWith("/finish") || path.endsWith("/discard"))
  return closes ? { ...ahead, pot: { ...ahead.pot, closed: true } } : ahead
}

function lastOf({ log }: Pot, gone: Set<unknown>): LastPour | null {
  const entry = log.filter(({ id }) => !gone.has(id)).at(-1)
  return entry ? { name: entry.name, grams: entry.grams, takesBack: { entry: entry.id } } : null
}

function without(pot: Pot, entries: Set<unknown>): Pot {
  const gone = pot.log.filter(({ id }) => entries.has(id))
  if (gone.length === 0) return pot
  const taken = (name: string) => gone.filter((one) => one.name === name).reduce((sum, one) => sum + one.grams, 0)
  const pours = pot.pours.map((one): Pour => {
    const g = taken(one.name)
    return g > 0 ? { ...one, poured_g: one.poured_g - g, add_g: one.add_g + g, state: "waiting" } : one
  })
  return { ...pot, pours, poured_g: pot.poured_g - gone.reduce((sum, one) => sum + one.grams, 0), complete: false }
}

function pour(state: PotAhead, { body, client_id }: Kept): PotAhead {
  const one = state.pot.pours.find(({ name }) => name === body.name)
  if (!one) return state
  const g = grams(body) ?? one.add_g
  const poured: Pour = { ...one, poured_g: one.poured_g + g, add_g: 0, state: "done" }
  const pours = state.pot.pours.map((each) => (each === one ? poured : each))
  const complete = pours.every(({ state }) => state === "done")
  return {
    pot: { ...state.pot, pours, poured_g: state.pot.poured_g + g, complete },
    last: { name: one.name, grams: g, takesBack: { touch: client_id } },
    outside: g < one.low_add_g || g > one.high_add_g ? one.name : state.outside,
  }
}
