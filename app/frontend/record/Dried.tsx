import { scaleLinear, scaleLog } from "d3-scale"
import { area, line } from "d3-shape"
import { day, duration } from "@/lib/time"
import type { OwnDrying } from "@/types"

const WIDTH = 300
const HEIGHT = 92
const LEFT = 38
/** Factors that the picture shows; what lies beyond stands at its edge. */
const SHOWN: [number, number] = [0.45, 2.2]
const TICKS = [0.5, 1, 2]

type Props = { dried: OwnDrying; zone: string; busy: boolean; onForget: (again: boolean) => void }

/** How fast a product dries here: each coat that taught it, what is believed since, and its times beside the sheet's. */
export function Dried({ dried, zone, busy, onForget }: Props) {
  const { name, phase, coats, factor, low, high, times, lessons, forgotten_at } = dried
  return (
    <article className="own-dried">
      <div>
        <h3>
          {name}
          <span className="text-second text-fine block">
            {phase === "early" ? "until it can be recoated and sanded" : "until it can be handled and rubbed out"}
          </span>
        </h3>
        {coats > 0 ? (
          <p>
            <b>{factor.toFixed(2)} × the sheet</b>, {low.toFixed(2)} to {high.toFixed(2)}
            <span className="text-second text-fine block">
              {coats} {coats === 1 ? "coat" : "coats"}, the last {lastWords(lessons, zone)}
            </span>
          </p>
        ) : (
          <p className="text-second">As on the sheet.</p>
        )}
        {coats > 0 && (
          <button type="button" className="text-button" disabled={busy} onClick={() => onForget(false)}>
            Forget it
          </button>
        )}
        {forgotten_at !== null && (
          <p className="text-fine">
            Up to {day(forgotten_at, zone)} it is forgotten.{" "}
            <button type="button" className="text-button" disabled={busy} onClick={() => onForget(true)}>
              Remember it again
            </button>
          </p>
        )}
      </div>
      {lessons.length > 0 ? <Course dried={dried} /> : <span />}
      <table className="own-times">
        <tbody>
          {times.map((one) => (
            <tr key={one.name}>
              <th scope="row">{one.name}</th>
              <td>{duration(one.sheet_min)}</td>
              <td>
                <b>{duration(one.own_min)}</b>
                <span className="text-fine text-second block">
                  {duration(one.low_min)} to {duration(one.high_min)}
                </span>
              </td>
            </tr>
          ))}
        </tbody>
      </table>
    </article>
  )
}

/** Coat by coat: what was seen of it, and what is believed since. */
function Course({ dried }: { dried: OwnDrying }) {
  const { lessons, factor, low, high, name } = dried
  const x = scaleLinear([0, Math.max(lessons.length, 8)], [LEFT + 8, WIDTH - 6])
  const up = scaleLog(SHOWN, [HEIGHT - 6, 6]).clamp(true)
  const places = lessons.map((lesson, index) => ({ ...lesson, at: x(index + 1) }))
  const band = area<(typeof places)[number]>(
    (one) => one.at,
    (one) => up(one.low),
    (one) => up(one.high),
  ).digits(1)
  const mean = line<(typeof places)[number]>(
    (one) => one.at,
    (one) => up(one.factor),
  ).digits(1)
  return (
    <svg
      viewBox={`0 0 ${WIDTH} ${HEIGHT}`}
      className="own-course"
      role="img"
      aria-label={`${name}: ${lessons.length} coats, now ${factor.toFixed(2)} times the sheet, ${low.toFixed(2)} to ${high.toFixed(2)}`}
    >
      {TICKS.map((tick) => (
        <g key={tick}>
          <path
            d={`M${LEFT} ${up(tick)}H${WIDTH}`}
            stroke={tick === 1 ? "var(--ink)" : "var(--rule)"}
            strokeWidth={tick === 1 ? 1.2 : 1}
          />
          <text x={0} y={up(tick) + 4} className="axis-tick">
            {tick === 1 ? "sheet" : `${tick} ×`}
          </text>
        </g>
      ))}
      <path d={band(places) ?? ""} fill="var(--clear-1)" fillOpacity={0.75} />
      {places.map(({ at, from, to, exact, after_min }) => (
        <g key={at}>
          <path
            d={`M${at} ${up(from ?? SHOWN[0])}V${up(to ?? SHOWN[1])}`}
            stroke="var(--ink)"
            strokeWidth={exact ? 0 : 2}
            strokeDasharray={from === null ? "2 2" : undefined}
          />
          {exact && to !== null && <circle cx={at} cy={up(to)} r={3} fill="var(--ink)" />}
          <title>{`dry after ${duration(after_min)}`}</title>
        </g>
      ))}
      <path d={mean(places) ?? ""} fill="none" stroke="var(--layer-ink)" strokeWidth={2} />
      {places.map((one) => (
        <circle key={one.at} cx={one.at} cy={up(one.factor)} r={2.6} fill="var(--layer-ink)" />
      ))}
    </svg>
  )
}

function lastWords(lessons: OwnDrying["lessons"], zone: string): string {
  const last = lessons.at(-1)
  if (!last) return ""
  const alone = last.from === null && !last.exact ? ", one look, which says little" : ""
  return `dry after ${duration(last.after_min)}, ${day(last.at, zone)}${alone}`
}
