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
  const times: Past[] = []
  let until = end
  let day = dayStart(end, zone)
  let planned: number | null = null
  for (const row of rows.toReversed()) {
    const own = dayStart(row.hands_end, zone)
    if (planned !== null) day = workingDaysBack(day, workingDays(own, planned, zone, works), zone, works)
    const to = planned === null ? end : Math.min(day + row.hands_end - own, until)
    planned = own
    until = to - Math.max(Math.round(row.hands_min), 1)
    times.unshift({ key: row.key, words: row.words, from: until, to })
  }
  return times
}

type Works = (day: number) => boolean

/** Twelve hours before a day begins it is the day before, also where the clocks are changed. */
const dayBefore = (day: number, zone: string) => dayStart(day - DAY_MIN / 2, zone)

/** How many there are after the one day, up to the other. */
function workingDays(from: number, to: number, zone: string, works: Works): number {
  let count = 0
  for (let day = to; day > from; day = dayBefore(day, zone)) if (works(day)) count += 1
  return count
}

function workingDaysBack(from: number, count: number, zone: string, works: Works): number {
  let day = from
  for (let left = count; left > 0; ) {
    day = dayBefore(day, zone)
    if (works(day)) left -= 1
  }
  return day
}

/** Weekdays on which the plan has no hours at all; one that it does not reach may be worked on. */
function shutWeekdays(open: [number, number][], zone: string): Set<string> {
  const shut = new Set<string>()
  const from = open[0]?.[0] ?? 0
  const to = open.at(-1)?.[1] ?? 0
  for (let at = from; at < to; at += DAY_MIN) shut.add(parts(at, zone).weekday)
  for (const [opens, closes] of open) {
    shut.delete(parts(opens, zone).weekday)
    shut.delete(parts(closes - 1, zone).weekday)
  }
  return shut
}
