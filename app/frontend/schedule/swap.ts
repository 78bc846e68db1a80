import type { Measure } from "@/lib/units"
import type { Method, ShelfItem, Step } from "@/types"
import { FILM_KINDS, OF_PRODUCT } from "@/types/kinds"
import type { StepSet } from "./detail/stepProps"

/** What a step's fields of a product are called. */
const CALLED: Record<string, string> = {
  thinning: "thinning",
  thinner: "thinner",
  cut_lb_per_gal: "cut",
  retarder: "retarder",
  hardener_parts: "hardener ratio",
  strength_percent: "strength",
  batches: "cans",
}

export const methodsOf = (item: ShelfItem | undefined, kind: Step["kind"]): Method[] =>
  (item?.fits[kind] ?? []) as Method[]

/** Another product in a step, with the figures that the core gives of it: what was the old one's goes. */
export function swapped(step: Step, next: ShelfItem): StepSet {
  const methods = methodsOf(next, step.kind)
  const method = methods.includes(step.method as Method) ? (step.method as Method) : methods[0]
  const wet = FILM_KINDS.includes(step.kind) && method ? next.wet_um[method] : undefined
  // What does not go into the other product stays behind.
  const tint = step.tint?.filter((part) => next.tints.includes(part.product))
  return {
    product: next.id,
    ...(method && method !== step.method ? { method } : {}),
    ...(wet === undefined ? {} : { wet_um: wet }),
    ...(step.kind === "fill" ? { way: next.fills } : {}),
    ...(step.tint ? { tint: tint?.length ? tint : null } : {}),
    ...Object.fromEntries(OF_PRODUCT.filter((field) => field in step).map((field) => [field, null])),
  }
}

/** What a swap sets anew beside the product, as a sentence; nothing where nothing is. */
export function resetWords(step: Step, set: StepSet, film: Measure, methods: Record<Method, string>): string {
  const gone = OF_PRODUCT.filter((field) => field in set).map((field) => CALLED[field] ?? field)
  const tinted = set.tint === null ? ["colorants"] : []
  const wet =
    set.wet_um && step.wet_um && set.wet_um !== step.wet_um
      ? `wet film ${film.text(step.wet_um)} to ${film.text(set.wet_um)}`
      : ""
  const way = set.method ? `method ${methods[set.method]}` : ""
  const reset = [...gone, ...tinted]
  return [reset.length > 0 ? `Reset: ${reset.join(", ")}` : "", [way, wet].filter(Boolean).join(", ")]
    .filter(Boolean)
    .map((words) => words.charAt(0).toUpperCase() + words.slice(1))
    .join(". ")
}
