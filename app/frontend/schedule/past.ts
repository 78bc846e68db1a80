import { dayStart, parts } from "@/lib/time"
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
 * When the rows up to the last were done, if that ended then: as planned, so many working days before, each ended
 * before the next began.
 * @param open hours of the shop that the plan knows, from and to
 */
export function pastTimes(rows: Row[], end: number, zone: string, open: [number, number][]): Past[] {
  const shut = shutWeekdays(open, zone)
  const works = (day: number) => !shut.has(parts(day, zone).weekday)
  const before = (day: number) => dayStart(day - DAY_MIN / 2, zone)
  const workingDays = (from: number, to: number) => {
    let count = 0
    for (let day = to; day > from; day = before(day)) if (works(day)) count += 1
    return count
  }
  const back = (day: number, count: number) => {
    let left = count
    let at = day
    while (left > 0) {
      at = before(at)
      if (works(at)) left -= 1
    }
    return at
  }
  const times: Past[] = []
  let until = end
  let day = dayStart(end, zone)
  let planned = rows.at(-1) && dayStart((rows.at(-1) as Row).hands_end, zone)
  for (const row of rows.toReversed()) {
    const own = dayStart(row.hands_end, zone)
    day = back(day, workingDays(own, planned ?? own))
    planned = own
    const to = times.length === 0 ? end : Math.min(day + row.hands_end - own, until)
    until = to - Math.max(Math.round(row.hands_min), 1)
    times.unshift({ key: row.key, words: row.words, from: until, to })
  }
  return times
}

/** Weekdays on which the plan has no hours at all; one that it does not reach may be worked on. */
function shutWeekdays(open: [number, number][], zone: string): Set<string> {
  const [first] = open[0] ?? []
  const [, last] = open.at(-1) ?? []
  const shut = new Set<string>()
  if (first === undefined || last === undefined) return shut
  for (let at = first; at < last; at += DAY_MIN) shut.add(parts(at, zone).weekday)
  for (const [from, to] of open) {
    shut.delete(parts(from, zone).weekday)
    shut.delete(parts(to - 1, zone).weekday)
  }
  return shut
}
