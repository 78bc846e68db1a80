import type { Step, TrialPage } from "@/types"

export type TrialStep = TrialPage["steps"][number]
/** A piece whose schedule a trial begins with. */
export type TrialPiece = TrialPage["pieces"][number] & { steps: TrialStep[] }
export type Field =
  | "strength_percent"
  | "product"
  | "method"
  | "coats"
  | "wet_um"
  | "thinned_percent"
  | "last_grit"
  | "included"
/** What is varied; levels as they are typed. */
export type Factor = { key: string; step: string; field: Field; typed: string }

/** Fields that a kind of step can be varied in, and how their levels are typed. */
export const FIELDS: { field: Field; kinds: Step["kind"][]; label: string; first: (step: Step) => string }[] = [
  { field: "strength_percent", kinds: ["stain"], label: "strength, % of stock", first: () => "50, 100" },
  {
    field: "coats",
    kinds: ["coat"],
    label: "how many coats",
    first: (step) => `${step.coats ?? 1}, ${(step.coats ?? 1) + 1}`,
  },
  {
    field: "wet_um",
    kinds: ["coat"],
    label: "wet film, µm",
    first: (step) => `${step.wet_um ?? 80}, ${(step.wet_um ?? 80) + 30}`,
  },
  { field: "thinned_percent", kinds: ["coat", "stain"], label: "thinned by, %", first: () => "0, 20" },
  { field: "last_grit", kinds: ["sand"], label: "last grit", first: () => "P150, P220" },
  { field: "product", kinds: ["coat", "stain"], label: "product", first: (step) => step.product ?? "" },
  { field: "method", kinds: ["coat", "stain"], label: "method", first: () => "spray, brush" },
  {
    field: "included",
    kinds: ["sand", "raise_grain", "stain", "coat", "level"],
    label: "with and without",
    first: () => "with, without",
  },
]

/** Levels as the server takes them. */
export function levels(factor: Factor): (string | number | boolean)[] {
  const words = factor.typed
    .split(/[,;]+/)
    .map((word) => word.trim())
    .filter(Boolean)
  if (factor.field === "included") return words.map((word) => word === "with")
  return words.map((word) => (/^-?\d+([.]\d+)?$/.test(word) ? Number(word) : word))
}
