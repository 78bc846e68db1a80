import { lowerFirst } from "@/bench/words"
import { drawing } from "@/components/Broken"
import { duration, soon } from "@/lib/time"
import type { BetterPlan, Moved, ShopPlan } from "@/types"

type Props = {
  better: BetterPlan
  plan: Pick<ShopPlan, "zone" | "now">
  name: (id: string) => string
  onTake: () => void
  onLeave: () => void
}

/** A better plan: what gets better, which jobs move and how far; taken or left. */
export function BetterOffer({ better, plan, name, onTake, onLeave }: Props) {
  const at = (minute: number) => soon(minute, plan.zone, plan.now)
  return (
    <section className="better-offer" aria-label="A better plan">
      <h3 className="text-head">A better plan was found</h3>
      <ul>
        {gains(better, name).map((gain) => (
          <li key={gain}>{gain}</li>
        ))}
      </ul>
      <Moves moves={better.moves} name={name} at={at} />
      <div className="better-buttons">
        <button type="button" className="ui-button" data-tone="dark" onClick={onTake}>
          Take this plan
        </button>
        <button type="button" className="ui-button" onClick={onLeave}>
          Keep mine
        </button>
      </div>
    </section>
  )
}

function gains({ dates, ready_min, hands_min, chance }: BetterPlan, name: (id: string) => string): string[] {
  return [
    ...dates.map((id) => `${name(id)} is ready by its due date`),
    ready_min >= 1 ? `pieces are ready ${duration(Math.round(ready_min))} sooner on average` : null,
    hands_min >= 1 ? `${duration(hands_min)} less work` : null,
    chance && chance[1] > chance[0]
      ? `least certain due date: chance ${percent(chance[0])} to ${percent(chance[1])}`
      : null,
  ].filter((gain) => gain !== null)
}

const percent = (share: number) => `${Math.round(share * 100)} %`
const ROW = 30
const WIDTH = 300
const SHOWN = 8

/** Each job that moves: where it is now and where it would be, over one clock. */
const Moves = drawing("What moves", MovesDrawn)

function MovesDrawn({ moves, name, at }: { moves: Moved[]; name: Props["name"]; at: (minute: number) => string }) {
  const shown = moves.slice(0, SHOWN)
  const all = shown.flatMap(({ from, to }) => [from, to])
  const first = Math.min(...all)
  const last = Math.max(...all, first + 60)
  const x = (minute: number) => 8 + ((minute - first) / (last - first)) * (WIDTH - 16)
  if (shown.length === 0) return null
  return (
    <>
      <p className="text-second">
        {moves.length === 1 ? "1 job moves" : `${moves.length} jobs move`}: ring now, dot then.
      </p>
      <svg viewBox={`0 0 ${WIDTH} ${shown.length * ROW}`} className="better-moves" role="img" aria-label="What moves">
        {shown.map((move, row) => (
          <g key={move.key} transform={`translate(0 ${row * ROW})`}>
            <text x={4} y={10} className="axis-tick">
              {name(move.piece)}: {lowerFirst(move.words)}, {at(move.from)} to {at(move.to)}
            </text>
            <line x1={x(move.from)} x2={x(move.to)} y1={20} y2={20} stroke="var(--paper-ink)" />
            <circle cx={x(move.from)} cy={20} r={4.5} fill="var(--paper)" stroke="var(--paper-ink)" />
            <circle cx={x(move.to)} cy={20} r={4.5} fill="var(--tape-ink)" />
          </g>
        ))}
      </svg>
      {moves.length > SHOWN && <p className="text-second">{moves.length - SHOWN} more after these.</p>}
    </>
  )
}
