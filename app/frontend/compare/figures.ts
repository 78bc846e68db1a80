import { duration, when } from "@/lib/time"
import type { Measure } from "@/lib/units"
import type { Side, SideChance } from "@/types"

export type FigureRow = { label: string; values: string[]; best: number | null }

/**
 * The rows of the compare table; the best is told where less or more is better beyond doubt.
 * @param chances by key of a side; null: still being drawn
 */
export function figures(
  sides: Side[],
  chances: Map<string, SideChance> | null,
  zone: string,
  currency: string,
  film: Measure,
): FigureRow[] {
  const drawn = (say: (chance: SideChance) => string | null) => (side: Side) => {
    const chance = chances?.get(side.key)
    return chance ? (say(chance) ?? "open") : "…"
  }
  const row = (label: string, say: (side: Side) => string, rank?: (side: Side) => number | null): FigureRow => ({
    label,
    values: sides.map(say),
    best: rank ? least(sides.map(rank)) : null,
  })
  const open = (value: number | null, say: (value: number) => string) => (value === null ? "open" : say(value))
  return [
    row(
      "ready",
      (side) => open(side.ready_at, (at) => when(at, zone)),
      (side) => side.ready_at,
    ),
    row(
      "likely, 10 to 90 %",
      drawn(({ dates: [early, , late] }) => (early && late ? `${when(early, zone)} to ${when(late, zone)}` : null)),
    ),
    row(
      "in time",
      drawn(({ in_time }) => (in_time === null ? null : `${Math.round(in_time * 100)} in 100`)),
      (side) => {
        const share = chances?.get(side.key)?.in_time ?? null
        return share === null ? null : -share
      },
    ),
    row(
      "fully cured",
      (side) => open(side.cured_at, (at) => when(at, zone)),
      (side) => side.cured_at,
    ),
    row("coats", (side) => String(side.coats)),
    row(
      "sessions",
      (side) => String(side.sessions),
      (side) => side.sessions,
    ),
    row(
      "hands-on",
      (side) => duration(side.hands_min),
      (side) => side.hands_min,
    ),
    row(
      "elapsed",
      (side) => duration(side.elapsed_min),
      (side) => side.elapsed_min,
    ),
    row(
      "mixed in all",
      (side) => `${side.litres.toFixed(2)} l`,
      (side) => side.litres,
    ),
    row(
      "material",
      (side) => open(side.cost, (cost) => `${cost.toFixed(2)} ${currency}`),
      (side) => side.cost,
    ),
    row(
      "solvent into the air",
      (side) => open(side.voc_g, (grams) => `${Math.round(grams)} g`),
      (side) => side.voc_g,
    ),
    row("dry film", (side) => film.text(side.film_um)),
    row("pores", (side) => `${side.pores}, ${Math.round(side.pores_filled * 100)} % filled`),
    row("sheen of the last coat", (side) => open(side.sheen_gu, (gu) => `${Math.round(gu)} GU`)),
    row(
      "scuffs put in",
      (side) => String(side.scuffs),
      (side) => side.scuffs,
    ),
    row(
      "findings",
      (side) =>
        side.findings.length
          ? side.findings.map((finding) => `${finding.level}: ${finding.title.toLowerCase()}`).join("; ")
          : "none",
      (side) => side.findings.length,
    ),
  ]
}

/** Where the least is, when one side alone has it. */
function least(values: (number | null)[]): number | null {
  const known = values.filter((value): value is number => value !== null)
  if (known.length < values.length || values.length < 2) return null
  const best = Math.min(...known)
  return known.filter((value) => value === best).length === 1 ? values.indexOf(best) : null
}
