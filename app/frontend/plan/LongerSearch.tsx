import { useQueryClient } from "@tanstack/react-query"
import { send as request } from "@/lib/api"
import { useAnswer, useSend } from "@/lib/requests"
import { duration, when } from "@/lib/time"
import type { LongSearch, ShopPlan } from "@/types"

const ASK_AGAIN_MS = 1000
const KEY = ["plan", "search"]

type Props = { plan: Pick<ShopPlan, "zone">; onKeep: (digest: string) => void }

/** The long search that follows the quick plan: under way, stopped, or what it found; one touch keeps that. */
export function LongerSearch({ plan, onKeep }: Props) {
  const client = useQueryClient()
  const { send } = useSend()
  const { answer } = useAnswer({
    key: KEY,
    ask: (signal) => request<{ search: LongSearch }>("POST", "/pieces/plan/search", {}, signal),
    quiet: true,
    every: (answer) => answer?.search.state === "searching" && ASK_AGAIN_MS,
  })
  const search = answer?.search
  const stop = () =>
    send(
      () => request("DELETE", "/pieces/plan/search"),
      () => search && client.setQueryData(KEY, { search: { ...search, state: "stopped" } }),
    )
  if (!search) return null
  return (
    <div className="longer-search text-fine" role="status">
      {search.state === "searching" && (
        <p>
          Looking longer for a better order.{" "}
          <button type="button" className="ui-button" data-quiet onClick={() => void stop()}>
            Stop
          </button>
        </p>
      )}
      {search.state === "failed" && <p className="text-second">{search.error}</p>}
      {search.state === "stopped" && <p className="text-second">The longer search was stopped.</p>}
      {search.state === "found" && !search.better && (
        <p className="text-second">A longer search ({search.builds} plans) found none better.</p>
      )}
      {search.state === "found" && search.better && (
        <>
          <p>
            A longer search found a better one: {gain(search)}
            {search.ready_at ? `, the last piece ready ${when(search.ready_at, plan.zone)}` : ""}.
          </p>
          <button type="button" className="ui-button" data-tone="dark" onClick={() => onKeep(search.digest)}>
            Keep the better one
          </button>
        </>
      )}
    </div>
  )
}

const gain = (search: LongSearch) =>
  search.gain_min && search.gain_min > 0 ? `${duration(search.gain_min)} sooner` : "nearer to what the plan aims at"
