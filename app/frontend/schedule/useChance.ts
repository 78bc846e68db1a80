import { send } from "@/lib/api"
import { useAnswer } from "@/lib/requests"
import type { Chance } from "@/types"

// Edits come in quick succession: only the plan that stays is drawn from.
const SETTLED_MS = 700

/** The drawn dates of a piece, asked for once the plan of a revision stands; null until they are there. */
export function useChance(url: string, revision: number): Chance | null {
  const { answer } = useAnswer({
    key: ["chance", url, revision],
    ask: (signal) => send<{ chance: Chance | null }>("GET", `${url}/chance`, undefined, signal),
    after: SETTLED_MS,
    quiet: true,
  })
  return answer?.chance ?? null
}
