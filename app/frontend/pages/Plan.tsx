import { Head, Link } from "@inertiajs/react"
import { useQueryClient } from "@tanstack/react-query"
import { useRef, useState } from "react"
import { MovedList } from "@/bench/Told"
import { ListPages } from "@/components/ListPages"
import { PageHead } from "@/components/PageHead"
import { Shell, useNow } from "@/components/Shell"
import { Trouble } from "@/components/Trouble"
import { Patterns } from "@/drawing/Patterns"
import { SavePicture } from "@/drawing/save/SavePicture"
import { send as request } from "@/lib/api"
import { useKeys } from "@/lib/keys"
import { useAnswer, useSend } from "@/lib/requests"
import { useWidth } from "@/lib/size"
import { day, duration, soon, when } from "@/lib/time"
import { BetterOffer } from "@/plan/BetterOffer"
import { Chances } from "@/plan/Chances"
import { Goals } from "@/plan/Goals"
import { LongerSearch } from "@/plan/LongerSearch"
import { PlanTable } from "@/plan/PlanTable"
import { ShopPicture } from "@/plan/ShopPicture"
import { useBetterPlan } from "@/plan/useBetterPlan"
import type { Chance, PlanPage } from "@/types"

const KEYS: [string, string][] = [
  ["T", "Drawing or table"],
  ["G", "What it could aim at"],
]

const LIMITS: Record<string, string> = {
  hands: "so long take all hands together",
  room: "so long is the spray room taken",
  chain: "so long takes the longest piece alone",
}

const address = (number: number) => `/pieces/plan${number > 1 ? `?page=${number}` : ""}`

/**
 * All pieces over one clock: their films, whose hands are where, rooms and racks, what shuts next, and what else could
 * be aimed at.
 */
export default function Plan(first: PlanPage) {
  const [state, setState] = useState(first)
  const { plan, pieces } = state
  const [table, setTable] = useState(false)
  const holder = useRef<HTMLDivElement>(null)
  const width = useWidth(holder, 1080)
  const now = useNow(plan.now)
  const name = (id: string) => pieces.find((piece) => piece.core_id === id)?.name ?? id
  const latest = plan.ready_at ?? 0
  const client = useQueryClient()
  const { send, error, dismiss } = useSend()
  const take = (answer: PlanPage) => {
    setState(answer)
    // What was drawn from the plan before it, and what it was held against, is void.
    void client.resetQueries({ queryKey: ["plan"] })
  }
  const reload = () => send(() => request<PlanPage>("GET", address(state.page.number)), take)
  const accept = (digest: string) =>
    send(() => request<PlanPage>("POST", `/pieces/plan/accept?page=${state.page.number}`, { digest }), take)
  const { search, stop, leave } = useBetterPlan()
  const chances =
    useAnswer({
      key: ["plan", "chance"],
      ask: (signal) => request<{ chances: Chance[] }>("GET", "/pieces/plan/chance", undefined, signal),
      quiet: true,
    }).answer?.chances ?? null
  useKeys({
    t: () => setTable((before) => !before),
    g: () => document.getElementById("goals")?.scrollIntoView({ block: "center" }),
  })
  return (
    <Shell keys={KEYS}>
      <Head title="Shop plan" />
      <Patterns />
      <PageHead
        title="Shop plan"
        facts={
          <>
            {pieces.length} {pieces.length === 1 ? "piece" : "pieces"},{" "}
            {plan.lanes.map((lane) => lane.person).join(" and ")}.{" "}
            {plan.bound.ready_at < latest
              ? `No plan can be ready before ${when(plan.bound.ready_at, plan.zone)}: ${LIMITS[plan.bound.because] ?? ""}.`
              : "The last piece cannot be ready sooner."}
          </>
        }
      >
        <dl className="ui-summary">
          <div>
            <dt>last one ready</dt>
            <dd>{latest ? when(latest, plan.zone) : "no date"}</dd>
          </div>
          <div>
            <dt>hands to come</dt>
            <dd>{duration(plan.hands_min)}</dd>
          </div>
          <div>
            <dt>sessions</dt>
            <dd>{plan.sessions}</dd>
          </div>
        </dl>
        {pieces.length > 0 && !table && (
          <SavePicture
            picture={{
              title: `Shop plan, ${when(now, plan.zone)}`,
              file: `Shop plan ${day(now, plan.zone)}`,
              parts: () => [...document.querySelectorAll(".shop-picture")],
            }}
          />
        )}
      </PageHead>
      <Trouble sentence={error?.sentence ?? ""} onRead={dismiss} />
      {plan.clashes.map((clash) => (
        <p key={`${clash.piece} ${clash.sentence}`} className="ui-trouble" role="alert">
          {name(clash.piece)}: {clash.sentence}
        </p>
      ))}
      {search?.better && (
        <BetterOffer
          better={search.better}
          {...{ plan, name }}
          onTake={() => void accept(search.digest)}
          onLeave={leave}
        />
      )}
      <div ref={holder} className="min-w-0">
        {pieces.length === 0 ? (
          <p className="text-second thin-rule pt-3">
            Nothing is planned yet.{" "}
            <Link href="/pieces/new" className="underline">
              Size up a piece
            </Link>
          </p>
        ) : table ? (
          <PlanTable plan={plan} name={name} />
        ) : (
          <ShopPicture plan={plan} pieces={pieces} chances={chances} width={width} now={now} />
        )}
        <ListPages page={state.page} href={address} of="pieces" ways={["Ready sooner", "Ready later"]} />
      </div>
      <div className="plan-grid">
        <section className="ruled pt-2" aria-label="What shuts next">
          <h2 className="text-head">What shuts next</h2>
          <ol className="after-list">
            {plan.closings.map((closing) => (
              <li key={closing.key}>
                <b>{soon(closing.closes_at, plan.zone, now)}</b>
                <span>
                  {closing.words}, {name(closing.piece)}
                  <span className="text-second text-fine block">
                    {closing.met ? "The next coat goes on before." : "The next coat comes later: scuff first."}
                  </span>
                </span>
              </li>
            ))}
            {plan.closings.length === 0 && <li className="text-second">No window is open that could shut.</li>}
          </ol>
          <Free plan={plan} now={now} />
          <button
            type="button"
            className="ui-button mt-3"
            data-quiet
            onClick={() => setTable(!table)}
            aria-pressed={table}
          >
            {table ? "Drawing" : "Table"}
          </button>
        </section>
        <Goals plan={plan} goal={state.goal} onChosen={() => void reload()} />
        <section aria-label="Chance" className="ruled pt-2">
          <h2 className="text-head">Chance of being ready</h2>
          <Chances chances={chances} name={name} zone={plan.zone} />
          <h2 className="text-head mt-4">What moved</h2>
          {state.moved.length === 0 && (
            <p className="text-second text-fine">Nothing has moved since the shop last closed.</p>
          )}
          <MovedList moved={state.moved} name={name} at={(minute) => soon(minute, plan.zone, now)} />
          <LongerSearch search={search} onStop={stop} />
        </section>
      </div>
    </Shell>
  )
}

/** Free stretches of each pair of hands over the next days. */
function Free({ plan, now }: { plan: PlanPage["plan"]; now: number }) {
  return (
    <>
      <h2 className="text-head mt-4">Free hands</h2>
      <ul className="text-fine">
        {plan.lanes.map((lane) => {
          const next = lane.free.filter(([, to]) => to > now).slice(0, 2)
          return (
            <li key={lane.person}>
              <b>{lane.person}</b>{" "}
              {next.length
                ? next.map(([from, to]) => `${soon(from, plan.zone, now)} for ${duration(to - from)}`).join(", ")
                : "not until the last piece is done"}
            </li>
          )
        })}
      </ul>
    </>
  )
}
