import { LevelMark } from "@/components/Marks"
import type { PourOption } from "@/types"

const BLOCKED: Record<string, string> = {
  container: "The pot is too small for it.",
  stock: "The shelf does not hold enough.",
  pot_life: "More than can be used before the pot sets.",
}
const WORDS: Record<string, string> = {
  top_up: "Top up",
  accept: "Accept as is",
  split: "Split",
  discard: "Throw away",
}

type Props = { options: PourOption[]; chosen: string; currency: string; onChoose: (kind: string) => void }

/** After an over-pour: the ways on, the best first, each with what it costs. */
export function WaysOn({ options, chosen, currency, onChoose }: Props) {
  if (!options.length) return null
  return (
    <section className="ways-on" aria-label="After the over-pour">
      <h2 className="text-head flex items-center gap-2">
        <LevelMark level="caution" size={22} /> Too much went in
      </h2>
      {options.map((option) => (
        <button
          key={option.kind}
          type="button"
          className="way-on"
          aria-pressed={chosen === option.kind}
          disabled={option.blocked_by !== null}
          onClick={() => onChoose(option.kind)}
        >
          <b>
            {WORDS[option.kind]}
            {option.cost ? (
              <span className="text-fine">
                {" "}
                {option.cost.toFixed(2)} {currency}
              </span>
            ) : null}
          </b>
          <span className="text-second text-fine block">
            {option.sentence}
            {option.blocked_by && ` ${BLOCKED[option.blocked_by] ?? ""}`}
          </span>
        </button>
      ))}
    </section>
  )
}
