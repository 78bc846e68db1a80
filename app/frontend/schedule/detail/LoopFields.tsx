import { SelectField } from "@/components/Field"
import { duration, when } from "@/lib/time"
import type { Row, Step } from "@/types"
import type { StepFieldsProps } from "./stepProps"

type Props = StepFieldsProps & { steps: Step[]; rows: Row[]; round: Row["round"]; zone: string }

/** Until it looks right: which steps go round again, how often that is planned, and how often at most. */
export function LoopFields({ step, steps, rows, round, zone, error, onSet }: Props) {
  const { again } = step
  const before = steps.slice(0, steps.indexOf(step)).filter((other) => !IDLE.includes(other.kind))
  const last = before.at(-1)
  if (!again)
    return (
      <section aria-label="Until it looks right">
        <h3 className="text-head">Until it looks right</h3>
        <p className="text-second">One answer, and on it goes.</p>
        {last && (
          <button
            type="button"
            className="ui-button mt-2"
            onClick={() => onSet({ again: { steps: [last.id], rounds: 1, most: 4 } })}
          >
            Send {name(last.id, rows)} round again
          </button>
        )}
      </section>
    )
  const set = (change: Partial<typeof again>) => onSet({ again: { ...again, ...change } })
  return (
    <section aria-label="Until it looks right">
      <h3 className="text-head">Until it looks right</h3>
      <ul className="loop-steps">
        {before.slice(-3).map((other) => (
          <li key={other.id}>
            <label className="ui-check">
              <input
                type="checkbox"
                checked={again.steps.includes(other.id)}
                onChange={(event) => {
                  const ids = before
                    .map(({ id }) => id)
                    .filter((id) => (id === other.id ? event.target.checked : again.steps.includes(id)))
                  onSet({ again: ids.length > 0 ? { ...again, steps: ids } : null })
                }}
              />
              {name(other.id, rows)}
            </label>
          </li>
        ))}
      </ul>
      <div className="step-fields">
        <SelectField
          label="Rounds planned"
          value={String(again.rounds)}
          error={error("again")}
          options={numbers(0)}
          onChange={(rounds) => set({ rounds: Number(rounds), most: Math.max(again.most, Number(rounds), 1) })}
        />
        <SelectField
          label="At most"
          value={String(again.most)}
          options={numbers(1)}
          onChange={(most) => set({ most: Number(most), rounds: Math.min(again.rounds, Number(most)) })}
        />
      </div>
      <p className="text-second text-fine">
        {round
          ? `A round takes about ${duration(round.minutes)}.`
          : "The bench asks: yes goes on, once more puts a round in."}
        {round?.ready_at && ` With the most of them it is ready about ${when(round.ready_at, zone)}.`}
      </p>
    </section>
  )
}

const MOST = 12

const numbers = (from: number): [string, string][] =>
  Array.from({ length: MOST + 1 - from }, (_, index): [string, string] => [String(from + index), String(from + index)])

const IDLE: Step["kind"][] = ["look", "wait", "measure", "test"]

const name = (id: string, rows: Row[]): string => {
  const words = rows.find((row) => row.step === id)?.words ?? id
  return words.charAt(0).toLowerCase() + words.slice(1)
}
