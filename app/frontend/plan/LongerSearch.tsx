import { useEffect, useState } from "react"
import { send } from "@/lib/api"
import { duration, when } from "@/lib/time"
import type { LongSearch, ShopPlan } from "@/types"

const ASK_AGAIN_MS = 1000

type Props = { plan: Pick<ShopPlan, "zone" | "now">; onKeep: (digest: string) => void }

/** The long search that follows the quick plan: under way, stopped, or what it found; one touch keeps that. */
export function LongerSearch({ plan, onKeep }: Props) {
  const [search, setSearch] = useState<LongSearch | null>(null)
  // biome-ignore lint/correctness/useExhaustiveDependencies: another plan makes the search void
  useEffect(() => {
    const gone = new AbortController()
    let timer: ReturnType<typeof setTimeout>
    const ask = () =>
      send<{ search: LongSearch }>("POST", "/pieces/plan/search", {}, gone.signal)
        .then((answer) => {
          setSearch(answer.search)
          if (answer.search.state === "searching") timer = setTimeout(ask, ASK_AGAIN_MS)
        })
        .catch(() => undefined)
    void ask()
    return () => {
      gone.abort()
      clearTimeout(timer)
    }
  }, [plan])
  const stop = () => {
    setSearch((before) => before && { ...before, state: "stopped" })
    send("POST", "/pieces/plan/stop_search", {}).catch(() => undefined)
  }
  if (!search) return null
  return (
    <div className="longer-search small" role="status">
      {search.state === "searching" && (
        <p>
          Looking longer for a better order.{" "}
          <button type="button" className="button" data-quiet onClick={stop}>
            Stop
          </button>
        </p>
      )}
      {search.state === "stopped" && <p className="sub">The longer search was stopped.</p>}
      {search.state === "found" && !search.better && (
        <p className="sub">A longer search ({search.builds} plans) found none better.</p>
      )}
      {search.state === "found" && search.better && (
        <>
          <p>
            A longer search found a better one: {gain(search)}
            {search.ready_at ? `, the last piece ready ${when(search.ready_at, plan.zone)}` : ""}.
          </p>
          <button type="button" className="button" data-tone="dark" onClick={() => onKeep(search.digest)}>
            Keep the better one
          </button>
        </>
      )}
    </div>
  )
}

const gain = (search: LongSearch) =>
  search.gain_min && search.gain_min > 0 ? `${duration(search.gain_min)} sooner` : "nearer to what the plan aims at"
