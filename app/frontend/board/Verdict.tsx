import type { BoardTrial } from "@/types"

const WORDS: Record<string, string> = {
  look: "look",
  feel: "feel",
  durability: "durability",
  hands: "few hands",
  days: "few days",
  cost: "low cost",
  smell: "little smell",
}

/**
 * Every combination over all boards by what counts here: its score, who beats it in everything, and the best looks for
 * their hours.
 */
export function Verdict({ trial, onWeigh }: { trial: BoardTrial; onWeigh: (weights: Record<string, number>) => void }) {
  if (trial.verdicts.length < 2) return null
  const weigh = (aspect: string, by: number) =>
    onWeigh({ ...trial.weights, [aspect]: Math.min(Math.max((trial.weights[aspect] ?? 0) + by, 0), 5) })
  return (
    <section className="ruled mt-4 pt-2" aria-label="Verdict">
      <h2 className="text-head">By what counts here</h2>
      <div className="verdict-weights">
        {Object.entries(trial.weights).map(([aspect, weight]) => (
          <fieldset key={aspect}>
            <legend className="text-label">{WORDS[aspect] ?? aspect}</legend>
            <button
              type="button"
              className="ui-button"
              aria-label={`${WORDS[aspect]}: less`}
              onClick={() => weigh(aspect, -1)}
            >
              −
            </button>
            <b>{weight}</b>
            <button
              type="button"
              className="ui-button"
              aria-label={`${WORDS[aspect]}: more`}
              onClick={() => weigh(aspect, 1)}
            >
              +
            </button>
          </fieldset>
        ))}
      </div>
      <table className="sheet-table mt-2">
        <caption className="sr-only">Combinations by score, the best first</caption>
        <thead>
          <tr>
            <th scope="col">Cell</th>
            <th scope="col">Varied</th>
            <th scope="col">Score</th>
            <th scope="col">
              <span className="sr-only">What else</span>
            </th>
          </tr>
        </thead>
        <tbody>
          {trial.verdicts.map((verdict) => (
            <tr key={verdict.label} data-state={verdict.beaten_by ? "beaten" : "stands"}>
              <td>
                <b>{verdict.label}</b>
              </td>
              <td>{verdict.words}</td>
              <td>
                {verdict.score === null ? (
                  "nothing read"
                ) : (
                  <span className="verdict-score">
                    <i style={{ width: `${verdict.score * 110}px` }} aria-hidden="true" />
                    {verdict.score.toFixed(2)}
                  </span>
                )}
              </td>
              <td className="text-fine text-second">
                {verdict.beaten_by
                  ? `beaten in everything by ${verdict.beaten_by}`
                  : verdict.frontier
                    ? "none looks better in fewer minutes"
                    : verdict.missing.length
                      ? `not read: ${verdict.missing.map((aspect) => WORDS[aspect] ?? aspect).join(", ")}`
                      : ""}
              </td>
            </tr>
          ))}
        </tbody>
      </table>
    </section>
  )
}
