import { useQueryClient } from "@tanstack/react-query"
import { send as request } from "@/lib/api"
import { useAnswer, useSend } from "@/lib/requests"
import type { LongSearch } from "@/types"

const ASK_AGAIN_MS = 1000
const KEY = ["plan", "search"]

/** The search for a better plan, and the way to stop it or put away what it found. */
export function useBetterPlan() {
  const client = useQueryClient()
  const { send } = useSend()
  const { answer } = useAnswer({
    key: KEY,
    ask: (signal) => request<{ search: LongSearch }>("POST", "/pieces/plan/search", {}, signal),
    quiet: true,
    every: (answer) => answer?.search.state === "searching" && ASK_AGAIN_MS,
  })
  const search = answer?.search
  const putAway = (state: LongSearch["state"]) =>
    send(
      () => request("DELETE", "/pieces/plan/search"),
      () => search && client.setQueryData(KEY, { search: { ...search, state, better: null } }),
    )
  return { search, stop: () => void putAway("stopped"), leave: () => void putAway("refused") }
}
