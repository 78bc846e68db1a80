import { dayStart } from "@/lib/time"
import type { Row } from "@/types"

export type Past = { key: string; words: string; from: number; to: number }

const DAY_MIN = 1440

/** Work that can be logged in one go: what is planned, up to a measure or a test, which has figures of its own. */
export function loggable(rows: Row[]): Row[] {
  const open = rows.filter(({ status, inserted, hands }) => status === "planned" && !inserted && hands.length > 0)
  const own = open.findIndex(({ kind }) => kind === "measure" || kind === "test")
  return own < 0 ? open : open.slice(0, own)
}

/**
 * When the rows up to the last were done, if that ended then: as planned, so many whole days before, each ended before
 * the next began.
 */
export function pastTimes(rows: Row[], end: number, zone: string): Past[] {
  const last = rows.at(-1)
  if (!last) return []
  const days = Math.round((dayStart(last.hands_end, zone) - dayStart(end, zone)) / DAY_MIN)
  let until = end
  return rows
    .toReversed()
    .map((row, at) => {
      const to = at === 0 ? end : Math.min(row.hands_end - days * DAY_MIN, until)
      until = to - Math.max(Math.round(row.hands_min), 1)
      return { key: row.key, words: row.words, from: until, to }
    })
    .toReversed()
}
