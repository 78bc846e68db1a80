import type { Looks, Sheet } from "@/types"

/** The colour that a stain makes of the wood under the coat that follows it. */
export function dyeOf(looks: Looks | null, sheet: Sheet, light: string): string | undefined {
  const stain = sheet.section.stains[0]?.pass.split("/")[1]
  const at = looks?.stages.findIndex((stage) => stage.step === stain) ?? -1
  return at < 0 ? undefined : (looks?.stages[at + 1] ?? looks?.stages[at])?.hexes[light]
}
