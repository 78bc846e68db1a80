import type { ErrorReason, Step } from "@/types"

const BESIDE = [
  "product",
  "method",
  "role",
  "wet_um",
  "coats",
  "thinning",
  "grits",
  "removes_um",
  "minutes",
  "asks",
  "room",
  "start",
]

/** The field of the selected step that a refusal is about; null when it has to be said above everything. */
export function besideField({ where }: ErrorReason, step: Step | undefined, steps: Step[]): string | null {
  const [, place, name] = (where ?? "").split("/")
  const id = /^\d+$/.test(place ?? "") ? steps[Number(place)]?.id : place
  const field = name === "pins" ? "start" : name
  return step && id === step.id && field && BESIDE.includes(field) ? field : null
}
