import type { Method, Sheet, ShelfItem, Step, StepKind } from "@/types"

export const METHODS: Record<Method, string> = {
  spray: "sprayed",
  brush: "brushed",
  roller: "rolled",
  wipe: "wiped",
  pad: "padded",
}
export const ROLES = {
  seal: "a sealer",
  washcoat: "a washcoat",
  barrier: "a barrier",
  primer: "a primer",
  build: "a build coat",
  top: "a top coat",
} as const
export const FAR_MILESTONES: [string, string][] = [
  ["dust_safe", "dust-safe"],
  ["touch", "dry to touch"],
  ["recoat_opens", "ready for the next coat"],
  ["sand", "dry to sand"],
  ["handle", "ready to handle"],
  ["stack", "ready to stack"],
  ["rub_out", "ready to rub out"],
  ["full_cure", "fully cured"],
]
/** Products that a kind of step may use, the usual ones first; a retired one only where the step names it already. */
export const offered = (shelf: ShelfItem[], kind: StepKind, named?: string) =>
  shelf.filter((item) => item.fits[kind] && (!item.retired || item.id === named))

export function freeId(steps: Step[]): string {
  const taken = steps.map((step) => Number(/^s(\d+)$/.exec(step.id)?.[1] ?? 0))
  return `s${Math.max(0, ...taken) + 1}`
}

/** The first pass that is not done, or the last. */
export const firstOpen = (sheet: Sheet): string | null =>
  (sheet.rows.find((row) => row.status !== "done") ?? sheet.rows.at(-1))?.key ?? null
