import type { CSSProperties } from "react"
import { when } from "@/lib/time"
import type { HandoverPiece } from "@/types"

type Props = { dates: HandoverPiece["dates"]; from: number | null; now: number; zone: string }

/** From when it bears what: the film beside the dates, milk where it is laid and resin where it is cured. */
export function BearsWhat({ dates, from, now, zone }: Props) {
  const cured = dates.at(-1)?.at ?? null
  const laid = Math.min(dates[0]?.at ?? now, from ?? now)
  const share = (at: number | null) =>
    at === null || cured === null || cured <= laid ? 1 : Math.min(1, Math.max(0, (at - laid) / (cured - laid)))
  const next = dates.find(({ at }) => at === null || at > now)
  return (
    <ol className="bears-what">
      {dates.map((date, index) => (
        <li
          key={date.id}
          data-state={date.at !== null && date.at <= now ? "reached" : date === next ? "next" : "later"}
          style={
            {
              "--from": tint(index === 0 ? 0 : share(dates[index - 1]?.at ?? null)),
              "--to": tint(share(date.at)),
            } as CSSProperties
          }
        >
          <span className="bears-film" aria-hidden="true" />
          <b>{date.at === null ? "not in this air" : when(date.at, zone)}</b>
          <span>
            {date.says}
            {date === next && <span className="sr-only">, next</span>}
          </span>
        </li>
      ))}
    </ol>
  )
}

/** Wet milk clears to honey. */
const tint = (share: number): string => `color-mix(in oklab, var(--clear-1) ${Math.round(share * 100)}%, var(--wet))`
