import { scaleLinear } from "d3-scale"
import { area } from "d3-shape"
import { Against } from "@/components/Against"
import { day, dayStart, soon, when } from "@/lib/time"
import type { Proposal } from "@/types"
import { WayFigures } from "./WayFigures"

const WIDTH = 250
const HEIGHT = 66
const LABELS: Record<string, string> = { water: "water", alcohol: "drink", heat: "heat", wear: "wear", weather: "sun" }
const FIVE = [1, 2, 3, 4, 5]
/** What a day takes on the clock. */
const LABEL = 46

export type Clock = { from: number; to: number; most: number; now: number; zone: string; due: number | null }

type Props = {
  proposal: Proposal
  clock: Clock
  currency: string
  asks: Record<string, number>
  /** Share of runs in which it is ready in time; null: nothing is due, or it is still being drawn. */
  chance: number | null
  /** The wanted colour beside what is reckoned. */
  target: string | null
  open: boolean
  busy: boolean
  onOpen: () => void
  onChoose: () => void
  onTry: () => void
}

/** One way: its look, its film on the clock that all share, when and for how much, and what it bears. */
export function ProposalRow(props: Props) {
  const { proposal, clock, currency, asks, chance, target, open, busy, onOpen, onChoose, onTry } = props
  const late = clock.due !== null && proposal.ready_at > clock.due
  return (
    <li className="way" data-open={open || undefined}>
      <div className="way-line">
        <button type="button" className="way-name" aria-expanded={open} onClick={onOpen}>
          <span className="way-swatch" style={{ background: proposal.look_hex ?? "transparent" }} aria-hidden="true">
            {target && <span style={{ background: target }} />}
          </span>
          <span>
            <b>{proposal.name}</b>
            <span className="text-second text-fine block">
              {proposal.says}
              {proposal.to_buy.length > 0 && `; to buy: ${proposal.to_buy.join(", ")}`}
            </span>
            {proposal.because && <span className="text-fine block">{proposal.because}</span>}
          </span>
        </button>
        <Film way={proposal} ready={proposal.ready_at} clock={clock} />
        <WayFigures way={proposal} hands="hands" currency={currency} late={late}>
          {soon(proposal.ready_at, clock.zone, clock.now)}
          {chance !== null && <span className="text-fine block">{sureness(chance)}</span>}
        </WayFigures>
        <Bears bears={proposal.bears} asks={asks} />
        <button type="button" className="ui-button" data-size="bench" disabled={busy} onClick={onChoose}>
          Choose
        </button>
      </div>
      {open && (
        <div className="way-more">
          <ol className="way-steps">
            {proposal.steps.map((words, index) => (
              // biome-ignore lint/suspicious/noArrayIndexKey: steps are told in their order
              <li key={index}>{words}</li>
            ))}
          </ol>
          <div>
            <p>{proposal.ages}</p>
            <p className="text-second">
              {[
                proposal.renewed_after_months && `a fresh coat after about ${proposal.renewed_after_months} months`,
                `smell ${proposal.odour} of 5`,
                `skill ${proposal.skill} of 5`,
                `mends ${proposal.repair} of 5`,
                proposal.sheen_gu !== null && `${Math.round(proposal.sheen_gu)} GU`,
                `pores ${proposal.pores}`,
                proposal.delta_e !== null && `ΔE ${proposal.delta_e} from the wanted colour (the lower swatch)`,
              ]
                .filter(Boolean)
                .join(", ")}
              .
            </p>
            <Against said={proposal.against} />
            <button type="button" className="ui-button mt-2" disabled={busy} onClick={onTry}>
              Try on a board what is least sure of it
            </button>
          </div>
        </div>
      )}
    </li>
  )
}

/** How many runs of ten are in time. */
const sureness = (share: number) => `${Math.round(share * 10)} in 10 in time`

/** The clock over all films. */
export function Days({ clock }: { clock: Clock }) {
  const x = scaleLinear([clock.from, clock.to], [0, WIDTH])
  const marks: number[] = []
  for (
    let start = dayStart(clock.from + 1440, clock.zone);
    start < clock.to;
    start = dayStart(start + 1620, clock.zone)
  )
    marks.push(start)
  const every = Math.max(1, Math.ceil((marks.length * LABEL) / WIDTH))
  return (
    <div className="way-line way-days" aria-hidden="true">
      <span />
      <svg viewBox={`0 0 ${WIDTH} 18`} className="way-film" aria-hidden="true">
        {marks
          .filter((mark, index) => index % every === 0 && x(mark) < WIDTH - LABEL)
          .map((mark) => (
            <g key={mark}>
              <path d={`M${x(mark)} 12V18`} stroke="var(--second)" />
              <text x={x(mark) + 3} y={12} className="axis-tick">
                {day(mark, clock.zone)}
              </text>
            </g>
          ))}
      </svg>
    </div>
  )
}

type FilmProps = { way: { film: [number, number][]; film_um: number }; ready: number; clock: Clock; quiet?: boolean }

/** Film on the clock that all share. */
export function Film({ way, ready, clock, quiet }: FilmProps) {
  const x = scaleLinear([clock.from, clock.to], [0, WIDTH])
  const up = scaleLinear([0, clock.most], [HEIGHT - 12, 6])
  const last = way.film.at(-1)
  const points: [number, number][] = last ? [...way.film, [ready, last[1]]] : []
  const shape = area<[number, number]>(
    ([minute]) => x(minute),
    HEIGHT - 12,
    ([, um]) => up(um),
  ).digits(1)
  return (
    <svg
      viewBox={`0 0 ${WIDTH} ${HEIGHT}`}
      className="way-film"
      role="img"
      aria-label={`${Math.round(way.film_um)} micrometres, ready ${when(ready, clock.zone)}`}
    >
      <path d={`M0 ${HEIGHT - 12}H${WIDTH}`} stroke="var(--second)" strokeWidth={1.2} />
      {clock.due !== null && clock.due < clock.to && (
        <path d={`M${x(clock.due)} 0V${HEIGHT}`} stroke="var(--stop)" strokeDasharray="4 3" strokeWidth={1.6} />
      )}
      <path
        d={shape(points) ?? ""}
        fill={quiet ? "none" : "var(--clear-1)"}
        stroke={quiet ? "var(--second)" : "var(--layer-ink)"}
        strokeWidth={quiet ? 1.6 : 0.9}
      />
      <circle
        cx={Math.min(x(ready), WIDTH - 5)}
        cy={HEIGHT - 12}
        r={4.5}
        fill="var(--lit)"
        stroke="var(--ink)"
        strokeWidth={1.8}
      />
    </svg>
  )
}

/** What it stands up to, of five, beside what the use asks for. */
function Bears({ bears, asks }: { bears: Record<string, number>; asks: Record<string, number> }) {
  return (
    <ul className="way-bears">
      {Object.entries(LABELS).map(([measure, label]) => {
        const has = bears[measure] ?? 0
        const wants = asks[measure] ?? 0
        return (
          <li key={measure} data-state={has < wants ? "short" : undefined}>
            <span>{label}</span>
            <svg viewBox="0 0 64 10" width="64" height="10" role="img" aria-label={`${has} of 5, ${wants} asked`}>
              {FIVE.map((step) => (
                <rect
                  key={step}
                  x={(step - 1) * 13}
                  y={1}
                  width={10}
                  height={8}
                  fill={step <= has ? "var(--ink)" : "none"}
                  stroke={step <= wants ? "var(--tape-ink)" : "var(--rule)"}
                  strokeWidth={step <= wants ? 2 : 1}
                />
              ))}
            </svg>
          </li>
        )
      })}
    </ul>
  )
}
