import { duration, when } from "@/lib/time"
import { type Measure, useMeasures } from "@/lib/units"
import type { Ledger as LedgerData } from "@/types"

const WORDS: Record<string, string> = {
  sheet: "data sheet",
  temperature: "temperature",
  humidity: "humidity",
  air: "air movement",
  film: "film",
  coat: "coats below still drying",
  shop: "this shop's own factor",
  school: "house rule for rub-out",
  floor: "72 h at least before a rub-out",
  seen: "seen at the bench",
}
const FILLS = [
  "var(--grey-1)",
  "var(--paper-firm)",
  "var(--grey-3)",
  "var(--paper-second)",
  "var(--paper-ink)",
  "var(--grey-4)",
  "var(--grey-2)",
]

/** "20", or "12–20" where the air changed meanwhile */
const span = ([low, high]: [number, number], shown: (value: number) => number = (value) => value) =>
  Math.round(high) === Math.round(low)
    ? `${Math.round(shown(low) * 10) / 10}`
    : `${Math.round(shown(low))}–${Math.round(shown(high))}`

function cause(name: string, minutes: number, ledger: LedgerData, temperature: Measure): string {
  if (name === "sheet") return `data sheet, ${ledger.sheet}`
  if (name === "temperature")
    return `${minutes < 0 ? "warm" : "cool"}, ${span(ledger.t_c, temperature.shown)} ${temperature.unit}`
  if (name === "humidity") return `${minutes < 0 ? "dry" : "damp"}, ${span(ledger.rh)} % RH`
  if (name === "air") return minutes < 0 ? `air ${ledger.air}` : "still air"
  if (name === "film") return minutes < 0 ? "thinner film" : "thicker film"
  if (name === "shop" && ledger.shop) return `this shop: ${ledger.shop}`
  return WORDS[name] ?? name
}

/** The drying ledger: the sheet's time, each cause, and the time in this shop. Rows sum exactly. */
export function Ledger({ ledger, zone, title }: { ledger: LedgerData; zone: string; title: string }) {
  const { temperature } = useMeasures()
  const rows = ledger.rows.filter(([name, minutes]) => name === "sheet" || minutes !== 0)
  const whole = rows.reduce((sum, [, minutes]) => sum + Math.max(minutes, 0), 0)
  return (
    <section aria-label={title}>
      <h3 className="text-head">{title}</h3>
      <div className="mt-2 flex h-5 border border-(--firm)" aria-hidden="true">
        {rows.map(([name, minutes], index) =>
          minutes > 0 ? (
            <span
              key={name}
              style={{ width: `${(minutes / whole) * 100}%`, background: FILLS[index % FILLS.length] }}
            />
          ) : null,
        )}
      </div>
      <table className="drying-ledger">
        <tbody>
          {rows.map(([name, minutes], index) => (
            <tr key={name}>
              <td>
                <span
                  className="ui-swatch"
                  style={{ background: minutes < 0 ? "transparent" : FILLS[index % FILLS.length] }}
                  aria-hidden="true"
                />
                {cause(name, minutes, ledger, temperature)}
              </td>
              <td>
                {name === "sheet" ? duration(minutes) : `${minutes < 0 ? "−" : "+"} ${duration(Math.abs(minutes))}`}
              </td>
            </tr>
          ))}
          <tr className="ledger-sum">
            <td>in this shop</td>
            <td>{duration(ledger.minutes)}</td>
          </tr>
        </tbody>
      </table>
      <p className="mt-1 font-semibold">
        {ledger.words[0]?.toUpperCase()}
        {ledger.words.slice(1)} from {when(ledger.reached_at, zone)}.
      </p>
      <p className="text-fine text-third">
        {ledger.estimate ? "Estimate: " : "Source: "}
        {ledger.source}
        {ledger.bound_by && ledger.bound_by !== "floor" ? `; not before ${ledger.bound_by.replaceAll("_", " ")}` : ""}
      </p>
    </section>
  )
}
