import { describe, expect, it } from "vitest"
import { colourOf } from "@/colour/colourOf"
import { inkOn } from "@/colour/ink"
import { nextLight } from "@/colour/useLight"
import { FIELDS, levels } from "@/trial/factors"
import type { Looks, Step } from "@/types"

/** Relative luminance of a grey of that L*, and contrast as WCAG 2 has it. */
const luminance = (lightness: number) => (lightness > 8 ? ((lightness + 16) / 116) ** 3 : lightness / 903.3)
const contrast = (one: number, other: number) => (Math.max(one, other) + 0.05) / (Math.min(one, other) + 0.05)

describe("ink on a look", () => {
  it("is at least 4.5 to 1 on every lightness", () => {
    for (let lightness = 0; lightness <= 100; lightness += 0.5) {
      const ink = inkOn(lightness) === "var(--white)" ? 1 : 0
      expect(contrast(luminance(lightness), ink)).toBeGreaterThanOrEqual(4.5)
    }
  })
})

describe("the light that looks are seen in", () => {
  const lights = [{ id: "D65" }, { id: "A" }, { id: "shop_led" }]
  it("goes round", () => {
    expect(["D65", "A", "shop_led"].map((light) => nextLight(lights, light))).toEqual(["A", "shop_led", "D65"])
  })
  it("begins anew from one that is not there", () => {
    expect(nextLight(lights, "moon")).toBe("D65")
  })
})

describe("the colour that a step leaves", () => {
  const stage = (step: string | null, coat: number | null, hex: string) => ({ step, coat, hexes: { D65: hex } })
  const stages = [stage(null, null, "bare"), stage("s1", null, "dry"), stage("s2", 1, "one"), stage("s2", 2, "two")]
  const colour = colourOf({ stages } as unknown as Looks, "D65")
  it("is a stain's under the coat that follows it, and a coat's own", () => {
    expect([colour("s1"), colour("s2"), colour("s9")]).toEqual(["one", "two", undefined])
    expect(colourOf(null, "D65")("s1")).toBeUndefined()
  })
})

describe("levels of what is varied", () => {
  const factor = (field: Parameters<typeof levels>[0]["field"], typed: string) => ({
    key: "f",
    step: "s1",
    field,
    typed,
  })
  it("are numbers where they are numbers, words where they are words", () => {
    expect(levels(factor("strength_percent", "50, 75.5;100"))).toEqual([50, 75.5, 100])
    expect(levels(factor("last_grit", "P150, P220"))).toEqual(["P150", "P220"])
    expect(levels(factor("method", " spray , brush,"))).toEqual(["spray", "brush"])
  })
  it("say with and without as yes and no", () => {
    expect(levels(factor("included", "with, without"))).toEqual([true, false])
  })
  it("begin at what the step has now", () => {
    const step = { id: "s1", kind: "coat", coats: 2, wet_um: 80, product: "w20" } as Step
    const first = Object.fromEntries(FIELDS.map((field) => [field.field, field.first(step)]))
    expect(first).toMatchObject({ coats: "2, 3", wet_um: "80, 110", product: "w20" })
  })
})
