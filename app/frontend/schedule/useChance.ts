import { send } from "@/lib/api"
import { useAnswer } from "@/lib/requests"
import type { Chance } from "@/types"

// Edits come in quick succession: only the plan that stays is drawn from.
const SETTLED_MS = 700

/**
 * The drawn dates of a piece, asked for once the plan of a revision stands and no edit is under way; null until they
 * are there.
 */
export function useChance(url: string, revision: number, settled: boolean): Chance | null {
  const { answer } = useAnswer({
    // Another key as soon as an edit is out: the question before is given up.
    key: ["chance", url, settled ? revision : "under way"],
    ask: (signal) => send<{ chance: Chance | null }>("GET", `${url}/chance`, undefined, signal),
    on: settled,
    after: SETTLED_MS,
    quiet: true,
  })
  return answer?.chance ?? null
}
