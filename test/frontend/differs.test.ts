import { describe, expect, test } from "vitest"
import { differs, rowWords } from "@/schedule/differs"
import type { Row, ShelfItem, Step } from "@/types"

const shelf = [
  { id: "w20", name: "Skerrow W20" },
  { id: "oil", name: "Orrin oil" },
] as ShelfItem[]
const film = { text: (um: number) => `${um} µm` } as Parameters<typeof differs>[3]
const coat = (id: string, more: Partial<Step> = {}): Step =>
  ({ id, kind: "coat", role: "top", product: "w20", method: "spray", wet_um: 80, coats: 1, ...more }) as Step

describe("a coat tells what it differs in from the one before", () => {
  test.each([
    ["its wet film", { wet_um: 120 }, "120 µm wet"],
    ["how it is laid on", { method: "brush" }, "brushed"],
    ["its thinning", { thinning: { percent: 10, of: "base" } }, "thinned 10 %"],
    ["its product", { product: "oil" }, "Orrin oil"],
    ["two of them", { wet_um: 60, cut_lb_per_gal: 2 }, "60 µm wet, 2 lb cut"],
    ["nothing that a row tells", { batches: 2 }, null],
    ["another kind of coat", { role: "seal", wet_um: 50 }, null],
  ] as [string, Partial<Step>, string | null][])("%s", (_, more, told) => {
    const steps = [coat("s1"), { id: "s2", kind: "level" } as Step, coat("s3", more)]
    expect(differs(steps[2] as Step, steps, shelf, film)).toBe(told)
  })

  test("the row has it in place of what does not differ", () => {
    const steps = [coat("s1"), coat("s3", { wet_um: 120 })]
    const row = { words: "Top coat, Skerrow W20", inserted: false } as Row
    expect(rowWords(row, steps[1], steps, shelf, film)).toBe("Top coat, 120 µm wet")
    expect(rowWords(row, steps[0], steps, shelf, film)).toBe("Top coat, Skerrow W20")
  })
})
