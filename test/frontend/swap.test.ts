import { expect, test } from "vitest"
import type { Measure } from "@/lib/units"
import { resetWords, swapped } from "@/schedule/swap"
import type { Method, ShelfItem, Step } from "@/types"
import { OF_PRODUCT } from "@/types/kinds"

const lacquer = {
  id: "lacquer",
  fits: { coat: ["spray"], fill: ["wipe"] },
  wet_um: { spray: 60 },
  tints: ["red"],
  fills: "slurry",
} as unknown as ShelfItem
const step = {
  id: "s1",
  kind: "coat",
  product: "two",
  method: "brush",
  role: "top",
  wet_um: 100,
  coats: 3,
  hardener_parts: 12,
  thinning: { percent: 10, of: "base" },
  room: "loft",
} as Step
const um = { text: (value: number) => `${value} µm` } as Measure
const methods = { spray: "spray", brush: "brush" } as Record<Method, string>

test("the new product brings its film and method, and what was the old one's goes", () => {
  const set = swapped(step, lacquer)
  expect(set).toEqual({ product: "lacquer", method: "spray", wet_um: 60, hardener_parts: null, thinning: null })
  expect(resetWords(step, set, um, methods)).toBe(
    "Reset: thinning, hardener ratio. Method spray, wet film 100 µm to 60 µm",
  )
})

test("where nothing belonged to the old product, nothing is said", () => {
  const plain = { id: "s1", kind: "coat", product: "x", method: "spray", wet_um: 60, coats: 1 } as Step
  expect(resetWords(plain, swapped(plain, lacquer), um, methods)).toBe("")
})

test("colorants that do not go into the other product stay behind", () => {
  const tinted = {
    ...step,
    tint: [
      { product: "red", percent: 1 },
      { product: "oxide", percent: 2 },
    ],
  } as Step
  expect(swapped(tinted, lacquer).tint).toEqual([{ product: "red", percent: 1 }])
  expect(swapped(tinted, { ...lacquer, tints: [] }).tint).toBeNull()
})

test("the fields of a product are those that the core takes away", () => {
  expect(OF_PRODUCT).toContain("hardener_parts")
  expect(OF_PRODUCT).not.toContain("coats")
})
