import { scaleLinear } from "d3-scale"
import { area } from "d3-shape"
import { useRef } from "react"
import { drawing } from "@/components/Broken"
import { filmSteps } from "@/drawing/film"
import { useWidth } from "@/lib/size"
import { dayStart, parts, when } from "@/lib/time"
import { useMeasures } from "@/lib/units"
import type { Side } from "@/types"

const HEIGHT = 190
const BASE = 158
// Room for the figures of the scale.
const SCALE = 44

/** Film over time, to the scale it shares with its neighbours: days across, µm up. */
export const FilmGrowth = drawing("The growth of the film", Drawn)

function Drawn({
  side,
  dates,
  from,
  to,
  most,
  zone,
}: {
  side: Side
  /** From when to when it is likely ready, and the middle; none: not known. */
  dates: number[]
  from: number
  to: number
  most: number
  zone: string
}) {
  const { film } = useMeasures()
  const holder = useRef<HTMLDivElement>(null)
  const width = useWidth(holder, 320)
  const x = scaleLinear([from, to], [SCALE, width - 6])
  const up = scaleLinear([0, most], [BASE, 22])
  const last = side.film.at(-1)
  const end = side.ready_at ?? last?.[0] ?? to
  const shape = area<[number, number]>(
    ([minute]) => x(minute),
    BASE,
    ([, um]) => up(um),
  ).digits(1)
  const days = marks(from, to, zone, width)
  return (
    <div ref={holder}>
      <svg
        width={width}
        height={HEIGHT}
        role="img"
        aria-label={`Film grows to ${Math.round(side.film_um)} micrometres${side.ready_at ? `, ready ${when(side.ready_at, zone)}` : ""}`}
      >
        {days
          .filter((mark) => x(mark.minute) > SCALE + 18)
          .map((mark) => (
            <g key={mark.minute}>
              <path d={`M${x(mark.minute)} 14V${BASE + 4}`} stroke="var(--rule)" />
              <text x={x(mark.minute)} y={BASE + 18} textAnchor="middle" className="axis-tick">
                {mark.label}
              </text>
            </g>
          ))}
        {filmSteps(film.shown(most))
          .map(film.stored)
          .filter((um) => um > 0 && um <= most)
          .map((um) => (
            <g key={um}>
              <path d={`M0 ${up(um)}H${width}`} stroke="var(--rule)" strokeDasharray="1 4" />
              <text x={0} y={up(um) - 3} className="axis-tick">
                {film.text(um)}
              </text>
            </g>
          ))}
        <path d={`M0 ${BASE}H${width}`} stroke="var(--second)" strokeWidth={1.5} />
        {last && (
          <path
            d={shape([...side.film, [end, last[1]]]) ?? ""}
            fill="var(--clear-1)"
            fillOpacity={0.8}
            stroke="var(--layer-ink)"
            strokeWidth={0.9}
          />
        )}
        {last && (
          <text
            x={Math.max(Math.min(x(end), width - 4), SCALE + 46)}
            y={Math.max(up(Math.max(...side.film.map(([, um]) => um))) - 5, 13)}
            textAnchor="end"
            className="strand-name"
          >
            {film.text(side.film_um)}
          </text>
        )}
        {dates.length === 3 && (
          <g>
            <path
              d={`M${x(dates[0] as number)} ${BASE + 5}H${x(dates[2] as number)}`}
              stroke="var(--ink)"
              strokeWidth={2.5}
            />
            <circle
              cx={x(dates[1] as number)}
              cy={BASE + 5}
              r={4}
              fill="var(--lit)"
              stroke="var(--ink)"
              strokeWidth={1.6}
            />
          </g>
        )}
      </svg>
    </div>
  )
}

/** Days to write under the picture, as many as have room. */
function marks(from: number, to: number, zone: string, width: number) {
  const days: { minute: number; label: string }[] = []
  for (let start = dayStart(from + 1440, zone); start < to; start = dayStart(start + 1440 + 180, zone)) {
    const { day, month } = parts(start, zone)
    days.push({ minute: start, label: `${day} ${month}` })
  }
  const every = Math.max(1, Math.ceil((days.length * 52) / width))
  return days.filter((_, index) => index % every === 0)
}
