import { useEffect, useState } from "react"
import { send } from "@/lib/api"
import type { Chance } from "@/types"

/** The drawn dates of a piece, asked for once the plan of a revision stands; null until they are there. */
export function useChance(url: string, revision: number): Chance | null {
  const [kept, setKept] = useState<{ revision: number; chance: Chance | null }>({ revision, chance: null })
  useEffect(() => {
    const stop = new AbortController()
    // Edits come in quick succession: only the plan that stays is drawn from.
    const timer = setTimeout(() => {
      send<{ chance: Chance | null }>("GET", `${url}/chance`, undefined, stop.signal)
        .then(({ chance }) => setKept({ revision, chance }))
        .catch(() => undefined)
    }, 700)
    return () => {
      clearTimeout(timer)
      stop.abort()
    }
  }, [url, revision])
  return kept.revision === revision ? kept.chance : null
}
