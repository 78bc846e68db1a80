import { describe, expect, test } from "vitest"
import { makeAxis, type Span } from "@/drawing/axis"

// Mon 23 Nov 2026 00:00 in Berlin is 23:00 UTC the day before.
const MONDAY = Date.UTC(2026, 10, 22, 23, 0) / 60_000
const at = (day: number, hour: number) => MONDAY + day * 1440 + hour * 60
const open: Span[] = [0, 1, 2, 3, 4, 7, 8, 9, 10, 11].map((day) => [at(day, 7.5), at(day, 16.5)])
const axis = (hands: Span[], to = at(11, 12)) =>
  makeAxis({ open, hands, now: at(0, 8), from: at(0, 7.5), to, zone: "Europe/Berlin", width: 780 })

describe("the shop clock", () => {
  test("rises strictly and can be read backwards", () => {
    const made = axis([
      [at(0, 8), at(0, 9)],
      [at(1, 8), at(1, 9)],
      [at(7, 8), at(7, 10)],
    ])
    let last = -1
    for (let minute = at(0, 7.5); minute < at(7, 16); minute += 30) {
      expect(made.x(minute)).toBeGreaterThan(last)
      expect(Math.abs(made.minute(made.x(minute)) - minute)).toBeLessThanOrEqual(1)
      last = made.x(minute)
    }
  })

  test("a night is 14 px and days with more passes are wider", () => {
    const made = axis([
      [at(0, 8), at(0, 9)],
      [at(1, 8), at(1, 9)],
      [at(1, 10), at(1, 11)],
      [at(1, 13), at(1, 14)],
    ])
    const nights = made.segments.filter((segment) => segment.kind === "night")
    expect(nights.at(-1)?.width).toBe(14)
    const [first, second] = made.segments.filter((segment) => segment.kind === "work")
    expect((second?.width ?? 0) / (first?.width ?? 1)).toBeCloseTo(2.2, 5)
  })

  test("three or more days without work and the cure become one break", () => {
    const made = axis(
      [
        [at(0, 8), at(0, 9)],
        [at(7, 8), at(7, 9)],
      ],
      at(25, 12),
    )
    expect(made.segments.filter((segment) => segment.kind === "break").map((segment) => segment.width)).toEqual([
      26, 26,
    ])
  })

  test("a crowded schedule grows wider than its window instead of narrower than 90 px a day", () => {
    const hands: Span[] = open.map(([from]) => [from, from + 60])
    expect(axis(hands).width).toBeGreaterThan(900)
  })

  test("tick labels keep their distance", () => {
    const made = axis([
      [at(0, 8), at(0, 9)],
      [at(1, 8), at(1, 9)],
      [at(2, 8), at(2, 9)],
    ])
    made.ticks.slice(1).forEach((tick, index) => {
      const gap = tick.x - (made.ticks[index]?.x ?? 0)
      expect(gap).toBeGreaterThanOrEqual(28)
    })
    expect(made.days[0]?.label).toBe("Mon 23 Nov")
  })
})
