import type { Looks } from "@/types"

/**
 * The colour that a step leaves, as it is computed: a coat as it is seen, a stain as it looks under the coat that
 * follows it. Undefined where no look knows the step.
 */
export function colourOf(looks: Looks | null, light: string): (step: string) => string | undefined {
  const stages = looks?.stages ?? []
  return (step) => {
    const at = stages.findLastIndex((stage) => stage.step === step)
    const own = stages[at]
    const seen = own && own.coat === null ? (stages[at + 1] ?? own) : own
    return seen?.hexes[light]
  }
}

/** How the surface looks before a step and after its last coat; null where no look knows it. */
export function aroundStep(looks: Looks | null, light: string, step: string) {
  const stages = looks?.stages ?? []
  const before = stages[stages.findIndex((stage) => stage.step === step) - 1]
  const after = stages[stages.findLastIndex((stage) => stage.step === step)]
  if (!before || !after) return null
  return [before, after].map((stage) => ({ hex: stage.hexes[light] ?? "", lightness: stage.lab[0] }))
}
