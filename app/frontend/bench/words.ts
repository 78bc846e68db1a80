import type { Measure } from "@/lib/units"
import type { BenchRow } from "@/types"

const METHOD: Record<string, string> = {
  spray: "sprayed",
  brush: "brushed",
  roller: "rolled",
  wipe: "wiped",
  pad: "padded",
}

export const lowerFirst = (words: string): string => words.charAt(0).toLowerCase() + words.slice(1)

export function rowSays(row: BenchRow, film: Measure): string {
  return [
    row.product,
    row.wet_um ? `${film.text(row.wet_um)} wet` : "",
    row.method ? METHOD[row.method] : "",
    row.words.includes(row.grits.join(", ")) ? "" : row.grits.join(", "),
    row.laid_on_ml ? `${row.laid_on_ml} ml` : "",
    row.pattern,
  ]
    .filter(Boolean)
    .join(", ")
}
