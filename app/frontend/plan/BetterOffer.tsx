import { MovedRows } from "@/bench/Told"
import { drawing } from "@/components/Broken"
import { duration, soon } from "@/lib/time"
import type { BetterPlan, ShopPlan } from "@/types"

type Props = {
  better: BetterPlan
  plan: Pick<ShopPlan, "zone" | "now">
  name: (id: string) => string
  onTake: () => void
  onLeave: () => void
}
type At = (minute: number) => string

/** A better plan: what gets better, when each piece is ready now and then, and which jobs move; taken or left. */
export function BetterOffer({ better, plan, name, onTake, onLeave }: Props) {
  const at: At = (minute) => soon(minute, plan.zone, plan.now)
  return (
    <section className="better-offer surface-lit" aria-label="A better plan">
      <div>
        <h2 className="text-head">A better plan was found</h2>
        <ul className="better-gains">
          {gains(better, name).map((gain) => (
            <li key={gain}>{gain}</li>
          ))}
        </ul>
        <div className="better-buttons">
          <button type="button" className="ui-tape" onClick={onTake}>
            Take this plan
          </button>
          <button type="button" className="ui-button" data-size="bench" onClick={onLeave}>
            Keep mine
          </button>
        </div>
        <details className="moved-list">
          <summary>{better.moves.length === 1 ? "1 job moves" : `${better.moves.length} jobs move`}</summary>
          <MovedRows moved={better.moves} {...{ name, at }} />
        </details>
      </div>
      <Readiness better={better} {...{ name, at }} />
    </section>
  )
}

function gains({ dates, ready_min, hands_min, chance }: BetterPlan, name: (id: string) => string): string[] {
  return [
    ...dates.map((id) => `${name(id)} is ready by its due date`),
    ready_min >= 1 ? `pieces are ready ${duration(Math.round(ready_min))} sooner on average` : null,
    hands_min >= 1 ? `${duration(hands_min)} less work` : null,
    chance && chance[1] - chance[0] >= TOLD
      ? `least certain due date: chance ${percent(chance[0])} to ${percent(chance[1])}`
      : null,
  ].filter((gain) => gain !== null)
}

/** A chance is drawn by lot: less than this is no gain. */
const TOLD = 0.05
const percent = (share: number) => `${Math.round(share * 100)} %`
const ROW = 22
const NAMES = 150
const WIDTH = 620
const SHOWN = 8

/** When pieces are ready, now and with the better plan, over one clock. */
const Readiness = drawing("When pieces are ready", ReadinessDrawn)

function ReadinessDrawn({ better, name, at }: { better: BetterPlan; name: Props["name"]; at: At }) {
  const shown = better.ready.slice(0, SHOWN)
  const all = shown.flatMap(([, was, then]) => [was, then])
  const first = Math.min(...all)
  const last = Math.max(...all, first + 60)
  const x = (minute: number) => NAMES + ((minute - first) / (last - first)) * (WIDTH - NAMES - 190)
  const more = better.ready.length - shown.length
  if (shown.length === 0) return null
  return (
    <figure className="better-ready">
      <figcaption className="text-second text-fine">
        Ready: ring as planned now, dot with the better plan{more > 0 ? `; ${more} more pieces move less` : ""}
      </figcaption>
      <svg viewBox={`0 0 ${WIDTH} ${shown.length * ROW}`} role="img" aria-label="When pieces are ready, now and then">
        {shown.map(([piece, was, then], row) => (
          <g key={piece} transform={`translate(0 ${row * ROW + 14})`}>
            <text x={NAMES - 12} y={4} textAnchor="end" className="axis-tick">
              {name(piece)}
            </text>
            <line x1={x(was)} x2={x(then)} y1={0} y2={0} stroke="var(--paper-ink)" />
            <circle cx={x(was)} cy={0} r={5} fill="var(--lit)" stroke="var(--paper-ink)" strokeWidth={1.4} />
            <circle cx={x(then)} cy={0} r={5} fill="var(--tape-ink)" />
            <text x={WIDTH - 180} y={4} className="axis-tick">
              {at(then)}, not {at(was)}
            </text>
          </g>
        ))}
      </svg>
    </figure>
  )
}
