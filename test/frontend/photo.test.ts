import { describe, expect, it } from "vitest"
import { lit, sheen } from "@/colour/sheen"
import { moved, type Part, sized, withWhite } from "@/photo/usePatch"

describe("marks on a photo", () => {
  const part: Part = [0.4, 0.4, 0.2, 0.1]

  it("move, and stay inside the photo", () => {
    expect(moved(part, [0.1, -0.1])).toEqual([0.5, expect.closeTo(0.3), 0.2, 0.1])
    expect(moved(part, [5, 5])).toEqual([0.8, 0.9, 0.2, 0.1])
    expect(moved(part, [-5, -5]).slice(0, 2)).toEqual([0, 0])
  })

  it("grow about their middle, between 2 and 60 %", () => {
    const [left, top, width, height] = sized(part, 2)
    expect([width, height]).toEqual([0.4, 0.2])
    expect([left + width / 2, top + height / 2]).toEqual([expect.closeTo(0.5), expect.closeTo(0.45)])
    expect(sized(part, 100).slice(2)).toEqual([0.6, 0.6])
    expect(sized(part, 0.001).slice(2)).toEqual([0.02, 0.02])
  })

  it("take a white card as well, or no longer", () => {
    const marks = { patch: part, grey: part }
    expect(withWhite(marks, true).white).toHaveLength(4)
    expect(withWhite(withWhite(marks, true), false).white).toBeUndefined()
  })
})

describe("the lamp mirrored in a film", () => {
  const alpha = (css: string | undefined) => Number(css?.match(/\/ ([\d.]+)\)/)?.[1])
  const band = (css: string | undefined) => {
    const stops = [...(css ?? "").matchAll(/([\d.-]+)%/g)].map((found) => Number(found[1]))
    return (stops[3] ?? 0) - (stops[0] ?? 0)
  }

  it("is bright and narrow on gloss, faint and wide on matt", () => {
    expect(alpha(sheen(90))).toBeGreaterThan(alpha(sheen(30)) * 2)
    expect(band(sheen(90))).toBeLessThan(band(sheen(10)))
  })

  it("is left out where the gloss is not known, and the colour stays", () => {
    expect(sheen(null)).toBeUndefined()
    expect(lit("#804020", undefined)).toBe("#804020")
    expect(lit("#804020", 30)).toMatch(/^linear-gradient.*, #804020$/)
    expect(lit(undefined, 30)).toBeUndefined()
  })
})
