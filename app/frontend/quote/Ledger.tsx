import { Stepper } from "@/components/Field"
import type { Refused } from "@/lib/api"
import { duration } from "@/lib/time"
import type { QuotePage } from "@/types"

export type Term = keyof QuotePage["terms"]
type Line = keyof QuotePage["sums"]

type Props = {
  state: QuotePage
  /** As they are set by now; the sums follow. */
  terms: QuotePage["terms"]
  busy: boolean
  refused: Refused["reason"] | null
  onTerm: (term: Term, value: number) => void
}

/** Each line begins where the one above it ends; net and price are measured from the left again. */
const LINES: { line: Line; name: string; whole?: boolean; term?: [Term, string, number] }[] = [
  { line: "labour", name: "Hands", term: ["rate_per_h", "An hour", 1] },
  { line: "material", name: "Material" },
  { line: "waste", name: "Waste of material", term: ["waste_percent", "Waste", 1] },
  { line: "worn", name: "Papers, pads, strainers" },
  { line: "margin", name: "Margin", term: ["margin_percent", "Margin", 1] },
  { line: "net", name: "Net", whole: true },
  { line: "tax", name: "Tax", term: ["tax_percent", "Tax", 1] },
  { line: "gross", name: "Price", whole: true },
]

/** How the price comes about, line by line, drawn to one scale; the shop's terms stand in the lines they make. */
export function Ledger({ state, terms, busy, refused, onTerm }: Props) {
  const { sums, most, currency, piece } = state
  const hands = state.phases.reduce((sum, phase) => sum + phase.min, 0)
  const share = (money: number) => `${sums.gross > 0 ? (money / sums.gross) * 100 : 0}%`
  let before = 0
  return (
    <table className="ledger" aria-label="How the price comes about">
      <tbody>
        {LINES.map(({ line, name, whole, term }) => {
          const from = whole ? 0 : before
          if (!whole) before += sums[line]
          return (
            <tr key={line} data-line={line} data-whole={whole || undefined}>
              <th scope="row">
                {name}
                {line === "labour" && <span className="text-second text-fine block">{duration(hands)}</span>}
                {line === "gross" && piece.count > 1 && (
                  <span className="text-second text-fine block">
                    each {(sums.gross / piece.count).toFixed(2)} {currency}
                  </span>
                )}
              </th>
              <td className="ledger-term">
                {term && (
                  <Stepper
                    label={term[1]}
                    unit={term[0] === "rate_per_h" ? `${currency}/h` : "%"}
                    value={terms[term[0]]}
                    by={term[2]}
                    least={0}
                    most={most[term[0]]}
                    pending={busy}
                    error={refused?.where === term[0] ? refused.sentence : undefined}
                    onChange={(value) => onTerm(term[0], value)}
                  />
                )}
              </td>
              <td className="ledger-money">{sums[line].toFixed(2)}</td>
              <td className="ledger-bar">
                <span style={{ marginLeft: share(from), width: share(sums[line]) }} />
              </td>
            </tr>
          )
        })}
      </tbody>
    </table>
  )
}
