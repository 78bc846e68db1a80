import { useRef } from "react"
import { drawing } from "@/components/Broken"
import { useWidth } from "@/lib/size"
import { clock, dayStart, parts } from "@/lib/time"
import type { Bench, Piece } from "@/types"

const HEIGHT = 132
const LINE = 62

/** One lane of hands over today: what was done, what is in hand, what comes; flags up open, flags down shut. */
export const HandsStrip = drawing("The strip of the day", Drawn)

function Drawn({ bench, pieces }: { bench: Bench; pieces: Piece[] }) {
  const holder = useRef<HTMLDivElement>(null)
  const width = useWidth(holder, 1120)
  const { zone, now } = bench
  const start = dayStart(now, zone)
  // Work that pauses at closing goes on another day; only today's stretches belong here.
  const spans = bench.today.flatMap((row) => row.hands).filter(([from, to]) => to > start && from < start + 1440)
  const opens = Math.min(bench.open_today[0]?.[0] ?? start + 420, now, ...spans.map(([from]) => from)) - 30
  const shuts = Math.max(bench.open_today.at(-1)?.[1] ?? start + 1020, now, ...spans.map(([, to]) => to)) + 60
  const x = (minute: number) => ((minute - opens) / (shuts - opens)) * width
  const name = (id: string) => pieces.find((piece) => piece.core_id === id)?.name ?? ""
  const hours = Array.from({ length: 26 }, (_, index) => start + index * 60).filter(
    (minute) => minute > opens && minute < shuts,
  )
  const labels = flags(bench, x, width, start + 1440, name)
  return (
    <div ref={holder}>
      <svg
        width={width}
        height={HEIGHT}
        role="img"
        aria-label={`Hands today: ${bench.today.length} ${bench.today.length === 1 ? "pass" : "passes"}`}
      >
        <rect
          x={0}
          y={16}
          width={Math.max(x(bench.open_today[0]?.[0] ?? opens), 0)}
          height={HEIGHT}
          fill="var(--closed)"
          opacity={0.6}
        />
        <rect
          x={x(bench.open_today.at(-1)?.[1] ?? opens)}
          y={16}
          width={width}
          height={HEIGHT}
          fill="var(--closed)"
          opacity={0.6}
        />
        <path d={`M0 16H${width}M0 ${LINE + 24}H${width}`} stroke="var(--firm)" />
        {hours.map((minute) => (
          <g key={minute}>
            <path d={`M${x(minute)} 16v6`} stroke="var(--second)" />
            <text x={x(minute) + 4} y={12} className="axis-tick">
              {parts(minute, zone).hour}:00
            </text>
          </g>
        ))}
        {bench.today.flatMap((row) =>
          row.hands
            .filter(([from, to]) => to > opens && from < shuts)
            .map(([from, to]) => {
              const wide = Math.max(x(to) - x(from), 3)
              return (
                <g key={`${row.key}${from}`} data-state={row.status}>
                  <rect
                    x={x(from)}
                    y={LINE - 6}
                    width={wide}
                    height={30}
                    fill={
                      row.status === "done" ? "var(--firm)" : row.status === "running" ? "url(#open)" : "var(--lit)"
                    }
                    stroke="var(--ink)"
                    strokeWidth={row.status === "planned" ? 1.2 : 0.6}
                  >
                    <title>{`${row.words}, ${name(row.piece)}, ${clock(from, zone)} to ${clock(to, zone)}`}</title>
                  </rect>
                  {wide > 46 && (
                    <text
                      x={x(from) + wide / 2}
                      y={LINE + 14}
                      textAnchor="middle"
                      className="axis-tick"
                      style={{ fill: row.status === "planned" ? "var(--ink)" : "var(--bar-ink)", fontWeight: 600 }}
                    >
                      {short(row.kind, name(row.piece), wide)}
                    </text>
                  )}
                </g>
              )
            }),
        )}
        {labels.map((flag) => (
          <g key={flag.key}>
            <path
              d={`M${flag.x} ${flag.up ? LINE - 6 : LINE + 24}V${flag.up ? 30 : LINE + 38}`}
              stroke="var(--second)"
            />
            <rect
              x={flag.x}
              y={flag.up ? 26 : LINE + 30}
              width={18}
              height={10}
              fill={flag.up ? "url(#open)" : "url(#shut)"}
              stroke={flag.up ? "var(--tape-ink)" : "var(--paper-ink)"}
            />
            <text x={flag.x + 23} y={flag.up ? 36 : LINE + 40} className="axis-tick" style={{ fill: "var(--ink)" }}>
              {flag.text}
            </text>
          </g>
        ))}
        <path d={`M${x(now)} 16V${HEIGHT}`} stroke="var(--tape-off)" strokeWidth={2} />
        <rect
          x={Math.min(Math.max(x(now) - 37, 0), width - 74)}
          y={HEIGHT - 20}
          width={74}
          height={19}
          fill="url(#open)"
          stroke="var(--tape-ink)"
        />
        <text x={Math.min(Math.max(x(now), 37), width - 37)} y={HEIGHT - 6} textAnchor="middle" className="on-tape">
          now {clock(now, zone)}
        </text>
      </svg>
    </div>
  )
}

/** Kinds of work whose name is longer than a bar is wide. */
const WORDS: Record<string, string> = { raise_grain: "grain" }

function short(kind: string, name: string, wide: number): string {
  const words = WORDS[kind] ?? kind.replace("_", " ")
  return wide > (words.length + name.length) * 7 ? `${words} ${name.toLowerCase()}` : words
}

/** Windows that open or shut today, those that fit without running into each other. */
function flags(
  bench: Bench,
  x: (minute: number) => number,
  width: number,
  dayEnd: number,
  name: (id: string) => string,
) {
  const wanted = bench.drying
    .filter((slab) => slab.next_row)
    .flatMap((slab) =>
      [
        { key: `${slab.row.key}o`, at: slab.state === "too_soon" ? slab.opens_at : null, up: true, word: "open" },
        { key: `${slab.row.key}c`, at: slab.state === "shut" ? null : slab.closes_at, up: false, word: "shut" },
      ].map((flag) => ({ ...flag, piece: name(slab.row.piece) })),
    )
    .filter(
      (flag): flag is typeof flag & { at: number } =>
        flag.at !== null && flag.at > bench.now && flag.at < dayEnd && x(flag.at) < width - 40,
    )
    .sort((one, other) => one.at - other.at)
  let free = { up: 0, down: 0 }
  return wanted.flatMap((flag) => {
    const side = flag.up ? "up" : "down"
    const text = `${flag.piece} ${flag.word} ${clock(flag.at, bench.zone)}`
    const at = x(flag.at)
    if (at < free[side]) return []
    free = { ...free, [side]: at + 30 + text.length * 6.5 }
    return [{ key: flag.key, x: at, up: flag.up, text }]
  })
}
