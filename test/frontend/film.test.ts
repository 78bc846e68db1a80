import { expect, test } from "vitest"
import type { Axis } from "@/drawing/axis"
import { band, filmSteps, heightAt, outline, type Point, placeLabels, run, zigzag } from "@/drawing/film"

const top: Point[] = [
  [0, 0],
  [10, 80],
  [30, 40],
  [60, 27],
]

test("a top is straight between its points and flat after the last", () => {
  expect(heightAt(top, 5)).toBe(40)
  expect(heightAt(top, 20)).toBe(60)
  expect(heightAt(top, 500)).toBe(27)
})

test("a run keeps both ends and what lies between", () => {
  expect(run(top, 5, 20)).toEqual([
    [5, 40],
    [10, 80],
    [20, 60],
  ])
})

test("the scale has few round lines", () => {
  expect(filmSteps(130)).toEqual([0, 20, 40, 60, 80, 100, 120])
  expect(filmSteps(9)).toEqual([0, 2, 4, 6, 8])
})

test("labels give way by priority and fall back to the number", () => {
  const label = (key: string, x: number) => ({ key, x, y: 60, text: `Coat ${key}`, short: key, width: 60 })
  const placed = placeLabels([label("1", 100), label("2", 110), label("3", 112), label("4", 114), label("5", 116)], 400)
  expect(placed[0]?.placed).toBe("Coat 1")
  expect(placed[1]?.y).toBe(44)
  for (const one of placed)
    for (const other of placed)
      if (one !== other && one.y === other.y)
        expect(Math.abs(one.x - other.x)).toBeGreaterThanOrEqual(one.placed === one.key ? 12 : 60)
})

const axis = { x: (minute: number) => minute * 2 } as Axis
const y = (um: number) => 100 - um

test("a layer is closed between its top and what lies below, jumps and all", () => {
  const laid: Point[] = [
    [0, 0],
    [10, 0],
    [10, 80],
    [30, 40],
  ]
  expect(band(axis, y, laid, null, 0, 30)).toBe("M0,100L20,100L20,20L60,60L60,100L0,100Z")
  expect(outline(axis, y, top, 0, 30)).toBe("M0,100L20,20L60,60")
})

test("a zig-zag goes up and down in steps of six", () => {
  expect(zigzag(0, 12, 50)).toBe("M0,53L6,47L12,53")
})
