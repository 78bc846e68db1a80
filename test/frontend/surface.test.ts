import { expect, test } from "vitest"
import { heightAt, type Point } from "@/drawing/film"
import { filledAt, poresOf, surface } from "@/drawing/surface"
import type { Layer, Section } from "@/types"

const pores = {
  depth_um: 200,
  filled: [
    [100, 50],
    [400, 150],
  ] as [number, number][],
}
// One minute a pixel, one µm a pixel.
const axis = { x: (minute: number) => minute, minute: (x: number) => x }
const layer = {
  laid_by: "spray",
  texture_um: 12,
  base_um: 0,
  laid_at: 0,
  touch_at: 20,
  smooth_at: null,
  top: [
    [0, 0],
    [1, 80],
    [40, 27],
  ] as Point[],
} as unknown as Layer
const section = (depth_um: number, filled: [number, number][] = []) =>
  ({ pores: { depth_um, filled } }) as unknown as Section
const drawn = (one: Partial<Layer>, of: Section, next?: Layer) =>
  surface({ ...layer, ...one }, next, {
    axis,
    pxPerUm: 1,
    pores: poresOf(600, of.pores.depth_um),
    section: of,
    end: 600,
  })

test("pores are filled from the minute of each coat, none before the first", () => {
  expect([0, 99, 100, 399, 400, 9000].map((minute) => filledAt(pores, minute))).toEqual([0, 0, 0.25, 0.25, 0.75, 0.75])
})

test("deep pores stand further apart, and are the same each time", () => {
  expect(poresOf(700, 200).length).toBeLessThan(poresOf(700, 30).length)
  expect(poresOf(700, 200)).toEqual(poresOf(700, 200))
  for (const pore of poresOf(700, 200)) {
    expect(pore.depth).toBeLessThanOrEqual(52)
    expect(pore.x + pore.half).toBeLessThan(700)
  }
})

test("times rise, and nothing is drawn under the base of the layer", () => {
  for (const depth of [30, 100, 200]) {
    const points = drawn({ base_um: 26.8 }, section(depth))
    expect(points.map(([minute]) => minute)).toEqual(points.map(([minute]) => minute).sort((one, other) => one - other))
    for (const [, um] of points.filter(([minute]) => minute > 40)) expect(um).toBeGreaterThanOrEqual(26.8)
  }
})

test("texture is to be seen until an abrasive or the next coat takes it", () => {
  const rough = (points: Point[]) => points.filter(([minute, um]) => minute > 45 && um > 27.5).map(([minute]) => minute)
  expect(rough(drawn({}, section(30, [[0, 30]]))).at(-1)).toBeGreaterThan(580)
  expect(rough(drawn({ smooth_at: 200 }, section(30, [[0, 30]]))).at(-1)).toBeLessThanOrEqual(200)
  expect(rough(drawn({}, section(30, [[0, 30]]), { laid_at: 300 } as Layer)).at(-1)).toBeLessThanOrEqual(300)
  expect(rough(drawn({ laid_by: "pad", texture_um: 0 }, section(30, [[0, 30]])))).toEqual([])
})

test("the film sinks in over a pore that is empty, and not over one that is full", () => {
  const least = (points: Point[]) => Math.min(...points.filter(([minute]) => minute >= 40).map(([, um]) => um))
  expect(least(drawn({ texture_um: 0 }, section(200)))).toBeCloseTo(27 - 200 * 0.02, 5)
  expect(least(drawn({ texture_um: 0 }, section(200, [[0, 100]])))).toBeCloseTo(27 - 100 * 0.02, 5)
  expect(least(drawn({ texture_um: 0 }, section(200, [[0, 200]])))).toBe(27)
  expect(heightAt(drawn({ texture_um: 0 }, section(200)), 20)).toBeGreaterThan(27)
})
