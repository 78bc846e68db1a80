import { describe, expect, test } from "vitest"
import { mass, massParts, roughMass, volume } from "@/lib/units"
import { batchSays } from "@/shelf/batchSays"
import { round } from "@/sums/round"
import type { Batch } from "@/types"

const can: Batch = {
  id: 1,
  code: "J0001",
  name: "Clear",
  state: "opened",
  left_g: 500,
  lot: null,
  boxed: false,
  kept: false,
  product_id: 1,
  product_code: "clear",
  mix_id: null,
  made_on: "2026-11-01",
  opened_on: "2026-11-01",
  expires_on: "2027-05-01",
  usable_until: null,
  days_left: 100,
  first_g: 1000,
  look: "milk",
  discarded: false,
  smear: false,
  density_g_per_ml: 1.04,
}

describe("amounts", () => {
  test("grams are as fine as the scale, ounces at least as fine", () => {
    expect(mass(472.727, "metric", 0.1)).toBe("472.7 g")
    expect(mass(472.727, "metric", 1)).toBe("473 g")
    expect(massParts(28.349523125, "us", 0.1)).toEqual(["1.000", "oz"])
  })
  test("rough amounts change their unit where it reads better", () => {
    expect([roughMass(380, "metric"), roughMass(4750, "metric"), roughMass(1000, "us")]).toEqual([
      "380 g",
      "4.8 kg",
      "2.2 lb",
    ])
    expect([volume(455, "metric"), volume(3785.411784, "us"), volume(29.5735, "us")]).toEqual([
      "455 ml",
      "1.00 gal",
      "1.0 fl oz",
    ])
  })
  test("numbers lose decimals that say nothing", () => {
    expect([round(205.2), round(0.5, 2), round(9.84, 1), round(20, 1)]).toEqual(["205", "0.5", "9.8", "20"])
  })
})

describe("what matters of a can", () => {
  const says = (fields: Partial<Batch>, now = 0) => batchSays({ ...can, ...fields }, now)
  test("its date, its pot life, its smear, in that order of need", () => {
    expect(says({}).words).toBe("good 3 months more")
    expect(says({ days_left: 20 }).words).toBe("good 20 d more")
    expect(says({ days_left: -3 })).toEqual({ words: "3 d past its date", tone: "caution", over: true })
    expect(says({ smear: true }).words).toBe("try a smear first")
    expect(says({ smear: true, days_left: -1 }).words).toBe("1 d past its date")
  })
  test("a catalysed pot counts down and is over", () => {
    expect(says({ usable_until: 90 })).toEqual({ words: "usable 1 h 30 more", tone: "plain", over: false })
    expect(says({ usable_until: 20 }).tone).toBe("caution")
    expect(says({ usable_until: -1 }).over).toBe(true)
  })
})
