import { Link } from "@inertiajs/react"
import { scaleLinear } from "d3-scale"
import { useRef } from "react"
import { drawing } from "@/components/Broken"
import { useWidth } from "@/lib/size"
import { dayStart, parts, when } from "@/lib/time"
import type { RecordStrand } from "@/types"

const ROW = 22
const TOP = 20
const NAMES = 210
/** What a day takes on the clock. */
const LABEL = 52

type Props = { strands: RecordStrand[]; zone: string; now: number }

/** A line for each piece over one clock: hands on it, dry tests above the line, faults below. */
export const Strands = drawing("The line of each piece", Drawn)

function Drawn({ strands, zone, now }: Props) {
  const holder = useRef<HTMLDivElement>(null)
  const width = useWidth(holder, 1100)
  // Entries that are no work, test or fault have no place on the clock.
  const times = strands.flatMap(({ bars, marks }) => [...bars.flat(), ...marks.map(([at]) => at)])
  if (times.length === 0) return null
  const from = dayStart(Math.min(...times), zone)
  const to = Math.max(Math.min(now, Math.max(...times) + 720), from + 1440)
  const x = scaleLinear([from, to], [NAMES, width - 8])
  const height = TOP + strands.length * ROW + 4
  return (
    <section ref={holder} aria-label="A line for each piece" className="record-strands">
      <svg width={width} height={height} role="img" aria-label={said(strands)}>
        {days(from, to, zone, width).map(({ minute, label }) => (
          <g key={minute}>
            <path d={`M${x(minute)} 14V${height}`} stroke="var(--rule)" />
            <text x={x(minute) + 4} y={12} className="axis-tick">
              {label}
            </text>
          </g>
        ))}
        {strands.map(({ piece, bars, marks }, index) => {
          const y = TOP + index * ROW + ROW / 2
          return (
            <g key={piece.id}>
              <path d={`M${NAMES} ${y}H${width - 8}`} stroke="var(--second)" strokeWidth={0.8} />
              {bars.map(([begun, done]) => (
                <rect
                  key={`${begun} ${done}`}
                  x={x(begun)}
                  y={y - 6}
                  width={Math.max(x(done) - x(begun), 2.5)}
                  height={12}
                  fill="var(--ink)"
                >
                  <title>{`${when(begun, zone)} to ${when(done, zone)}`}</title>
                </rect>
              ))}
              {marks.map(([at, kind]) => (
                <Mark key={`${at} ${kind}`} kind={kind} x={x(at)} y={y} words={when(at, zone)} />
              ))}
            </g>
          )
        })}
      </svg>
      <ul className="record-names" style={{ top: TOP }}>
        {strands.map(({ piece }) => (
          <li key={piece.id} style={{ height: ROW }}>
            <Link href={`/record?piece=${piece.id}`} title={`${piece.name}, ${piece.client}`}>
              {piece.name}
            </Link>
          </li>
        ))}
      </ul>
      <p className="text-fine text-second record-key">
        <svg width="190" height="14" aria-hidden="true">
          <rect x="0" y="2" width="10" height="10" fill="var(--ink)" />
          <text x="15" y="11" className="axis-tick">
            hands
          </text>
          <circle cx="66" cy="7" r="4" fill="var(--lit)" stroke="var(--ink)" strokeWidth="1.5" />
          <text x="75" y="11" className="axis-tick">
            dry test
          </text>
          <path d="M132 3h10l-5 9z" fill="var(--stop)" />
          <text x="147" y="11" className="axis-tick">
            fault
          </text>
        </svg>
        In the diary the bar is what hands took, the notch what was reckoned.
      </p>
    </section>
  )
}

function Mark({ kind, x, y, words }: { kind: string; x: number; y: number; words: string }) {
  if (kind === "fault")
    return (
      <path d={`M${x - 5} ${y + 3}h10l-5 9z`} fill="var(--stop)">
        <title>{`fault, ${words}`}</title>
      </path>
    )
  return (
    <circle cx={x} cy={y - 1} r={3.6} fill="var(--lit)" stroke="var(--ink)" strokeWidth={1.4}>
      <title>{`${kind === "note" ? "note" : "dry test"}, ${words}`}</title>
    </circle>
  )
}

const said = (strands: RecordStrand[]) =>
  strands.map(({ piece, bars }) => `${piece.name}: ${bars.length} ${bars.length === 1 ? "work" : "works"}`).join("; ")

function days(from: number, to: number, zone: string, width: number) {
  const all: { minute: number; label: string }[] = []
  for (let start = from; start < to; start = dayStart(start + 1620, zone)) {
    const { weekday, day, month } = parts(start, zone)
    all.push({ minute: start, label: to - from > 20000 ? `${day} ${month}` : `${weekday} ${day}` })
  }
  const every = Math.max(1, Math.ceil((all.length * LABEL) / (width - NAMES)))
  return all.filter((_, index) => index % every === 0)
}
