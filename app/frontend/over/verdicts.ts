import type { OverAnswer } from "@/types"

export type Verdict = OverAnswer["verdict"]

/** In words a hand would use, and on a narrow key. */
export const VERDICTS: [Verdict, string, string][] = [
  ["holds", "It holds", "holds"],
  ["scuff", "It holds once scuffed", "scuff first"],
  ["wait", "Not yet", "wait first"],
  ["barrier", "Only with a seal between", "seal between"],
  ["never", "It does not hold", "does not hold"],
  ["unknown", "Nobody knows: try it", "try it on a board"],
]

export const titleOf = (verdict: Verdict): string => VERDICTS.find(([id]) => id === verdict)?.[1] ?? ""
