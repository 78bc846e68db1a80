import type { Method, Sheet, ShelfItem, Step, StepKind } from "@/types"

export const METHODS: Record<Method, string> = {
  spray: "sprayed",
  brush: "brushed",
  roller: "rolled",
  wipe: "wiped",
  pad: "padded",
}
export const ROLES = { seal: "a sealer", build: "a build coat", top: "a top coat" } as const
export const FAR_MILESTONES: [string, string][] = [
  ["dust_safe", "dust-safe"],
  ["touch", "dry to touch"],
  ["sand", "dry to sand"],
  ["handle", "ready to handle"],
  ["stack", "ready to stack"],
  ["rub_out", "ready to rub out"],
  ["full_cure", "fully cured"],
]
export const KINDS: [StepKind, string, string][] = [
  ["sand", "Sand", "Bare wood through a ladder of grits"],
  ["raise_grain", "Raise the grain", "Mist, dry, sand off what stands up"],
  ["stain", "Stain", "Dye or pigment: colour, no film"],
  ["coat", "Coat", "Seal, build or top: a film"],
  ["level", "Level", "Denib, scuff or flatten between coats, or rub out to the sheen"],
  ["wait", "Wait", "A length of time, or a milestone"],
  ["look", "Look", "A question to answer before going on"],
]

/** Products that a kind of step may use, the usual ones first; a retired one only where the step names it already. */
export const offered = (shelf: ShelfItem[], kind: StepKind, named?: string) =>
  shelf.filter((item) => item.fits[kind] && (!item.retired || item.id === named))

/** A new step with plain first values, ready to be changed in place. */
export function freshStep(kind: StepKind, id: string, shelf: ShelfItem[]): Step | null {
  const base = { id, kind }
  if (kind === "sand") return { ...base, grits: ["P150", "P180"] }
  if (kind === "level") return { ...base, grits: ["P320"], aim: "scuff" }
  if (kind === "wait") return { ...base, minutes: 60 }
  if (kind === "look") return { ...base, milestone: "dust_safe", asks: "Even, no runs, no nibs" }
  if (kind === "raise_grain") return base
  const item = offered(shelf, kind)[0]
  const method = item?.fits[kind]?.[0] as Method | undefined
  if (!item || !method) return null
  if (kind === "stain") return { ...base, product: item.id, method }
  return { ...base, product: item.id, method, role: "top", wet_um: item.wet_um[method] ?? 80, coats: 1 }
}

export function freeId(steps: Step[]): string {
  const taken = steps.map((step) => Number(/^s(\d+)$/.exec(step.id)?.[1] ?? 0))
  return `s${Math.max(0, ...taken) + 1}`
}

/** The first pass that is not done, or the last. */
export const firstOpen = (sheet: Sheet): string | null =>
  (sheet.rows.find((row) => row.status !== "done") ?? sheet.rows.at(-1))?.key ?? null
