import type { Operation, Step } from "@/types"
import type { StepSet } from "./detail/stepProps"
import { freeId } from "./words"

/** Which coats of a step a change is for. */
export type Coats = "all" | "this" | "later"

/**
 * The edit that changes some coats of a step: they become a step of their own.
 * @returns it with the id of the step that was changed
 */
export function forCoats(
  step: Step,
  coat: number,
  coats: Exclude<Coats, "all">,
  set: StepSet,
  steps: Step[],
): { operation: Operation; id: string } {
  const last = step.coats ?? 1
  const operations: Operation[] = []
  let { id } = step
  let taken = steps
  const split = (keep: number): string => {
    const made = freeId(taken)
    operations.push({ op: "split_coats", id, keep, new_id: made })
    taken = [...taken, { ...step, id: made }]
    return made
  }
  if (coat > 1) id = split(coat - 1)
  if (coats === "this" && coat < last) split(1)
  operations.push({ op: "change_step", id, set })
  return { operation: { op: "all", operations }, id }
}
