import { clock, duration, soon } from "@/lib/time"
import type { Measure } from "@/lib/units"
import type { BenchRow, Slab } from "@/types"
import { lowerFirst, rowSays } from "./words"

type HeadProps = { row: BenchRow; inHand: boolean; piece: string; film: Measure; now: number; zone: string }

/** What is in hand or comes next, to be read at two metres. */
export function LargeHead({ row, inHand, piece, film, now, zone }: HeadProps) {
  const due = row.hands_start <= now + 5
  return (
    <header className="large-head">
      <div className="min-w-0">
        <h2 className="large-title">{row.kind === "look" ? "Look" : row.words}</h2>
        <p className="large-what">
          {piece}
          {row.count > 1 ? `, ${row.count} off` : ""} · {row.room}
        </p>
        <p className="large-how">{row.asks ?? rowSays(row, film)}</p>
      </div>
      <p className="large-figure">
        {inHand ? duration(now - row.hands_start) : due ? "now" : clock(row.hands_start, zone)}
        <small>{inHand ? `of ${duration(row.hands_min)}` : `${duration(row.hands_min)} of hands`}</small>
      </p>
    </header>
  )
}

type NextProps = { slab: Slab; piece: string; now: number; zone: string }

/** The film that calls on the hands soonest. */
export function LargeNext({ slab, piece, now, zone }: NextProps) {
  return (
    <p className="large-next">
      <b>{call(slab, now, zone)}</b>
      <span>
        {piece}
        {slab.next_row ? `, ${lowerFirst(slab.next_row.words)}` : ""}
      </span>
    </p>
  )
}

function call(slab: Slab, now: number, zone: string): string {
  if (slab.state === "too_soon") return slab.opens_at === null ? "drying" : `opens ${soon(slab.opens_at, zone, now)}`
  if (slab.state === "shut") return "shut: scuff"
  return slab.closes_at === null ? "open" : `shuts ${soon(slab.closes_at, zone, now)}`
}
