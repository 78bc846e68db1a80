import { useEffect } from "react"
import type { Call } from "@/timers/TimersPanel"
import { timers } from "@/timers/timers"
import type { BenchPage } from "@/types"
import { lowerFirst } from "./words"

const AHEAD_MIN = 24 * 60
/** So long before a window shuts there is still time for its work. */
const BEFORE_MIN = 15
/** A pot is thrown away before it sets. */
const POT_MIN = 10

/** What of the bench can be rung for within a day: films that open and shut, pots that set. */
export function callsOf({ bench, pieces, pots }: BenchPage, now: number): Call[] {
  const name = (id: string) => pieces.find((piece) => piece.core_id === id)?.name ?? ""
  const films = bench.drying.flatMap(({ row, next_row, state, opens_at, closes_at }): Call[] => {
    if (!next_row) return []
    const what = `${name(row.piece)}, ${lowerFirst(next_row.words)}`
    return [
      ...(state === "too_soon" && opens_at !== null
        ? [{ id: `${row.key}/opens`, at: opens_at, words: `${what}: may go on` }]
        : []),
      ...(state !== "shut" && closes_at !== null
        ? [
            {
              id: `${row.key}/shuts`,
              at: closes_at - BEFORE_MIN,
              words: `${what}: its window shuts in ${BEFORE_MIN} min`,
            },
          ]
        : []),
    ]
  })
  const setting = pots.flatMap((pot): Call[] =>
    pot.usable_until === null
      ? []
      : [
          {
            id: `${pot.path}/sets`,
            at: pot.usable_until - POT_MIN,
            words: `${pot.name}: ${POT_MIN} min of pot life left`,
          },
        ],
  )
  return [...films, ...setting]
    .filter(({ at }) => at > now && at <= now + AHEAD_MIN)
    .sort((one, other) => one.at - other.at)
}

/** Timers of the plan follow it when it moves; what is flooded on rings by itself when it is to be wiped off. */
export function useCallsOf(calls: Call[], page: BenchPage): void {
  useEffect(() => {
    for (const { id, at } of calls) timers.move(id, at * 60_000)
    const wiped = page.bench.drying.filter(({ next_row }) => next_row?.kind === "wipe_off").map(({ row }) => row.key)
    for (const { id, at, words } of calls)
      if (wiped.some((key) => id.startsWith(`${key}/`)) && !timers.all()[id]) timers.set(id, at * 60_000, words)
  }, [calls, page])
}
