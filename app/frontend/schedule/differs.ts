import type { Measure } from "@/lib/units"
import type { Row, ShelfItem, Step } from "@/types"
import { METHODS } from "./words"

/**
 * What tells a coat from the coats of its kind before it: those of a step that was split would read alike.
 * @returns null where it is the first, or differs in nothing that a row tells
 */
export function differs(step: Step, steps: Step[], shelf: ShelfItem[], film: Measure): string | null {
  const before = steps.slice(0, steps.indexOf(step)).findLast(({ kind }) => kind === "coat")
  if (step.kind !== "coat" || !before || before.role !== step.role) return null
  const told = (of: (step: Step) => string | undefined) => (of(step) === of(before) ? [] : [of(step)])
  const named = shelf.find(({ id }) => id === step.product)?.name
  return (
    [
      ...(step.product === before.product ? [] : [named]),
      ...told(({ method }) => method && METHODS[method]),
      ...told(({ wet_um }) => (wet_um ? `${film.text(wet_um)} wet` : undefined)),
      ...told(thinned),
      ...told(({ room }) => room),
    ]
      .filter(Boolean)
      .join(", ") || null
  )
}

const thinned = ({ thinning, cut_lb_per_gal }: Step): string =>
  cut_lb_per_gal ? `${cut_lb_per_gal} lb cut` : thinning?.percent ? `thinned ${thinning.percent} %` : "not thinned"

/** A row of a step that differs: what it is, then what differs in place of what does not. */
export function rowWords(row: Row, step: Step | undefined, steps: Step[], shelf: ShelfItem[], film: Measure): string {
  const differing = step && !row.inserted ? differs(step, steps, shelf, film) : null
  if (!step || !differing || step.name) return row.words
  const named = shelf.find(({ id }) => id === step.product)?.name
  const short = named ? row.words.replace(`, ${named}`, "") : row.words
  return `${short}, ${differing}`
}
