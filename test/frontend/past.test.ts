import { describe, expect, test } from "vitest"
import { minuteAt } from "@/lib/time"
import { loggable, pastTimes } from "@/schedule/past"
import type { Row } from "@/types"

const ZONE = "Europe/Berlin"
const at = (day: string, clock: string) => minuteAt(day, clock, ZONE)
const row = (key: string, end: number, hands_min = 30, more: Partial<Row> = {}): Row =>
  ({
    key,
    words: key,
    status: "planned",
    inserted: false,
    kind: "coat",
    hands_min,
    hands_end: end,
    hands: [[end - hands_min, end]],
    ...more,
  }) as Row

/** Monday to Friday, from that Monday on. */
const week = (monday: string): [number, number][] =>
  [0, 1, 2, 3, 4, 7].map((days) => {
    const from = at(monday, "07:30") + days * 1440
    return [from, from + 540]
  })

describe("work that was done before it was planned here", () => {
  test("stands as planned, so many working days before", () => {
    const rows = [
      row("sand", at("2026-12-07", "09:00"), 90),
      row("seal", at("2026-12-07", "10:00")),
      row("coat", at("2026-12-08", "08:30")),
    ]
    expect(pastTimes(rows, at("2026-12-01", "16:10"), ZONE, [])).toEqual([
      { key: "sand", words: "sand", from: at("2026-11-30", "07:30"), to: at("2026-11-30", "09:00") },
      { key: "seal", words: "seal", from: at("2026-11-30", "09:30"), to: at("2026-11-30", "10:00") },
      { key: "coat", words: "coat", from: at("2026-12-01", "15:40"), to: at("2026-12-01", "16:10") },
    ])
  })

  test("is put on no day on which the shop is shut", () => {
    const rows = [
      row("sand", at("2026-12-08", "09:00"), 90),
      row("seal", at("2026-12-09", "10:00")),
      row("coat", at("2026-12-10", "08:30")),
    ]
    const ends = pastTimes(rows, at("2026-12-01", "16:10"), ZONE, week("2026-12-07")).map(({ to }) => to)
    expect(ends).toEqual([at("2026-11-27", "09:00"), at("2026-11-30", "10:00"), at("2026-12-01", "16:10")])
  })

  test("counts working days over a planned weekend, too", () => {
    const rows = [row("sand", at("2026-12-11", "09:00"), 90), row("seal", at("2026-12-14", "10:00"))]
    const ends = pastTimes(rows, at("2026-12-02", "16:10"), ZONE, week("2026-12-07")).map(({ to }) => to)
    expect(ends).toEqual([at("2026-12-01", "09:00"), at("2026-12-02", "16:10")])
  })

  test("ends before what came after it begins", () => {
    const rows = [row("sand", at("2026-12-07", "11:00"), 60), row("seal", at("2026-12-07", "12:00"))]
    const [sand] = pastTimes(rows, at("2026-12-01", "09:00"), ZONE, [])
    expect(sand?.to).toBe(at("2026-12-01", "08:30"))
  })

  test("goes up to the next measure: that is logged with its readings", () => {
    const keys = loggable([
      row("done", 0, 30, { status: "done" }),
      row("sand", 60),
      row("scuff", 90, 10, { inserted: true }),
      row("coat", 120),
      row("moisture", 150, 5, { kind: "measure" }),
      row("top", 200),
    ]).map(({ key }) => key)
    expect(keys).toEqual(["sand", "coat"])
  })
})
