import { day, duration } from "@/lib/time"
import type { QuotePage } from "@/types"

/** What was given to the client, and how far what is reckoned now is from it. */
export function Given({ state, base }: { state: QuotePage; base: string }) {
  const { given, sums, currency, zone, phases } = state
  if (given.length === 0) return null
  const last = given.at(-1)
  const hands = phases.reduce((sum, phase) => sum + phase.min, 0)
  return (
    <div className="given">
      <ul>
        {given.map((one) => (
          <li key={one.id}>
            Given {day(one.at, zone)}:{" "}
            <b>
              {one.gross.toFixed(2)} {currency}
            </b>
            , {duration(one.hands_min)} of hands.{" "}
            <a href={`${base}.pdf?given=${one.id}`} target="_blank" rel="noreferrer">
              Its sheet
            </a>
          </li>
        ))}
      </ul>
      {last && <p className="text-second">{against(sums.gross - last.gross, hands - last.hands_min, currency)}</p>}
    </div>
  )
}

function against(money: number, min: number, currency: string): string {
  if (Math.abs(money) < 0.005 && Math.abs(min) < 0.5) return "Reckoned now it comes to the same."
  const more = (by: number) => (by < 0 ? "less" : "more")
  const parts = [
    Math.abs(money) >= 0.005 && `${Math.abs(money).toFixed(2)} ${currency} ${more(money)}`,
    Math.abs(min) >= 0.5 && `${duration(Math.abs(min))} ${more(min)} of hands`,
  ]
  return `Reckoned now it comes to ${parts.filter(Boolean).join(" and ")}.`
}
