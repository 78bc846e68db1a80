import { MovedRows, tasks } from "@/bench/Told"
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

/** A better plan: what gets better, when each piece is ready now and then, and which tasks move; taken or left. */
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
            Use this plan
          </button>
          <button type="button" className="ui-button" data-size="bench" onClick={onLeave}>
            Keep current plan
          </button>
        </div>
        <details className="moved-list">
          <summary>
            {tasks(better.moves.length)} {better.moves.length === 1 ? "moves" : "move"}
          </summary>
          <MovedRows moved={better.moves} {...{ name, at }} />
        </details>
      </div>
      <Readiness better={better} {...{ name, at }} />
    </section>
  )
}

function gains({ dates, ready_min, hands_min, chance, ready }: BetterPlan, name: (id: string) => string): string[] {
  const later = ready.filter(([, was, then]) => then > was).length
  return [
    ...dates.map((id) => `${name(id)} is ready by its due date`),
    ready_min >= 1 ? `pieces are ready ${duration(Math.round(ready_min))} sooner on average` : null,
    hands_min >= 1 ? `${duration(hands_min)} less hands-on time` : null,
    chance ? `least certain due date: chance ${percent(chance[0])} to ${percent(chance[1])}` : null,
    later > 0 ? (later === 1 ? "1 piece is ready later" : `${later} pieces are ready later`) : null,
  ].filter((gain) => gain !== null)
}

const percent = (share: number) => `${Math.round(share * 100)} %`
const SHOWN = 8

/** When pieces are ready, now and with the better plan, over one clock. */
const Readiness = drawing("When pieces are ready", ReadinessDrawn)

function ReadinessDrawn({ better, name, at }: { better: BetterPlan; name: Props["name"]; at: At }) {
  const shown = better.ready.slice(0, SHOWN)
  const all = shown.flatMap(([, was, then]) => [was, then])
  const first = Math.min(...all)
  const last = Math.max(...all, first + 60)
  const place = (minute: number) => `${((minute - first) / (last - first)) * 100}%`
  const more = better.ready.length - shown.length
  if (shown.length === 0) return null
  return (
    <figure className="better-ready">
      <figcaption className="text-second text-fine">
        Ready: ring as planned now, dot with the better plan{more > 0 ? `; ${more} more pieces move less` : ""}
      </figcaption>
      <ol>
        {shown.map(([piece, was, then]) => (
          <li key={piece}>
            <b>{name(piece)}</b>
            <span className="ready-track" aria-hidden="true">
              <i
                data-part="way"
                style={{ left: place(Math.min(was, then)), right: `calc(100% - ${place(Math.max(was, then))})` }}
              />
              <i data-part="was" style={{ left: place(was) }} />
              <i data-part="then" style={{ left: place(then) }} />
            </span>
            <span>
              {at(then)}, was {at(was)}
            </span>
          </li>
        ))}
      </ol>
    </figure>
  )
}
