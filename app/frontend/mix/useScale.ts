import { useQueryClient } from "@tanstack/react-query"
import { useCallback } from "react"
import { send } from "@/lib/api"
import { useAnswer } from "@/lib/requests"

export type Reading = { grams: number; stable: boolean } | { silent: string }

const EVERY_MS = 220
const KEY = ["scale"]

/**
 * The bench scale, read as long as the page is in sight. One request at a time; a scale or a shop computer that is
 * silent says so.
 */
export function useScale(on: boolean) {
  const client = useQueryClient()
  const { answer, error } = useAnswer<Reading>({
    key: KEY,
    ask: (signal) => send("GET", "/scale", undefined, signal),
    on,
    every: () => EVERY_MS,
  })
  const zero = useCallback(async () => {
    const silent = () => ({ silent: "The scale does not answer." })
    client.setQueryData(KEY, await send<Reading>("POST", "/scale/zero", {}).catch(silent))
  }, [client])
  const hand = useCallback(
    (act: string, more: Record<string, unknown> = {}) => send("POST", "/scale/hand", { act, ...more }),
    [],
  )
  return { reading: error ? { silent: error.sentence } : answer, zero, hand }
}
