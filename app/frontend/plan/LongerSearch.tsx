import { useQueryClient } from "@tanstack/react-query"
import { send as request } from "@/lib/api"
import { useAnswer, useSend } from "@/lib/requests"
import type { LongSearch, ShopPlan } from "@/types"
import { BetterOffer } from "./BetterOffer"

const ASK_AGAIN_MS = 1000
const KEY = ["plan", "search"]

type Props = {
  plan: Pick<ShopPlan, "zone" | "now">
  name: (id: string) => string
  onTake: (digest: string) => void
}

/** The search for a better plan: under way, stopped, or what it found; one touch takes that, or puts it away. */
export function LongerSearch({ plan, name, onTake }: Props) {
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
  if (!search) return null
  return (
    <div className="longer-search text-fine" role="status">
      {search.state === "searching" && (
        <p>
          Looking for a better plan.{" "}
          <button type="button" className="ui-button" data-quiet onClick={() => void putAway("stopped")}>
            Stop
          </button>
        </p>
      )}
      {search.state === "failed" && <p className="text-second">{search.error}</p>}
      {search.state === "stopped" && <p className="text-second">The search for a better plan was stopped.</p>}
      {search.state === "refused" && <p className="text-second">Your plan stays as it is.</p>}
      {search.state === "found" && !search.better && (
        <p className="text-second">No better plan found in {search.builds} tries.</p>
      )}
      {search.state === "found" && search.better && (
        <BetterOffer
          better={search.better}
          {...{ plan, name }}
          onTake={() => onTake(search.digest)}
          onLeave={() => void putAway("refused")}
        />
      )}
    </div>
  )
}
