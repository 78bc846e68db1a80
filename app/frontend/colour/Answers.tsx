import { type ReactNode, useState } from "react"
import type { ColourAnswer, Swatch } from "@/types"
import { inkOn } from "./ink"

const COUNT = ["One colourant", "Two colourants", "Three colourants"]

export type Recipe = ColourAnswer["answers"][number]

type Props = {
  answer: ColourAnswer
  way: string
  scale: number
  /** What is done with the recipe that is chosen. */
  children: (picked: Recipe) => ReactNode
}

/**
 * Now, nearest and wanted as three true fields; under them each recipe by weight, and what a tenth more of each does.
 */
export function Answers({ answer, way, scale, children }: Props) {
  const [picked, setPicked] = useState(-1)
  const at = picked >= 0 && picked < answer.answers.length ? picked : answer.answers.length - 1
  const shown = answer.answers[at]
  return (
    <>
      <div className="desk-field border-(--ink)">
        <Field
          title={way !== "stain" ? "Now" : "Bare"}
          swatch={answer.start}
          note={`ΔE ${answer.delta_start}: ${answer.cast}`}
        />
        <Field title="Nearest" swatch={shown ?? answer.nearest} delta={shown?.delta_e ?? answer.delta_start} />
        <Field title="Target" swatch={answer.target} />
      </div>
      {answer.spread !== null && (
        <p className="text-second text-fine mt-2">
          A pale and a dark board of this wood differ by ΔE {answer.spread}: nearer than half of that is within the wood
          itself.
        </p>
      )}
      {answer.beyond.length > 0 && (
        <div className="mt-3" role="status">
          {answer.beyond.map((sentence, index) => (
            <p key={sentence} className={index === 0 ? "text-head" : "text-second"}>
              {sentence}.
            </p>
          ))}
        </div>
      )}
      {answer.metamer && <p className="mt-2 caution-text">{answer.metamer}</p>}
      {answer.answers.length === 0 && <p className="text-second mt-3">None of these colourants brings it nearer.</p>}
      <div className="desk-answers">
        {answer.answers.map((candidate, index) => (
          <button
            key={candidate.grams.map((part) => part.id).join()}
            type="button"
            className="desk-answer"
            aria-pressed={index === at}
            onClick={() => setPicked(index)}
          >
            <span className="flex items-baseline justify-between">
              <b className="text-head">{COUNT[candidate.grams.length - 1]}</b>
              <b className="panel-title">ΔE {candidate.delta_e.toFixed(1)}</b>
            </span>
            <span className="text-second text-fine block">{candidate.words}</span>
            <span className="desk-swatch mt-1 block" style={{ background: candidate.hex }} />
            <table className="sheet-table mt-2">
              <tbody>
                {candidate.grams.map((part) => (
                  <tr key={part.id}>
                    <td>{part.name}</td>
                    <td className="text-right">{grams(part.grams, scale)}</td>
                  </tr>
                ))}
                <tr>
                  <td className="text-second">carrier</td>
                  <td className="text-right text-second">{grams(candidate.carrier_g, scale)}</td>
                </tr>
              </tbody>
            </table>
            <span className="text-fine text-second block pb-2">
              {candidate.grams.map((part) => (
                <span key={part.id} className="block">
                  + 10 % {short(part.name)}: {moved(part.ten_more)}
                </span>
              ))}
            </span>
          </button>
        ))}
      </div>
      {shown && children(shown)}
    </>
  )
}

function Field({ title, swatch, delta, note }: { title: string; swatch: Swatch; delta?: number; note?: string }) {
  return (
    <div style={{ background: swatch.hex, color: inkOn(swatch.lab[0]) }}>
      <p>
        {title}
        <span className="block font-normal">
          L* {swatch.lab[0].toFixed(1)} a* {swatch.lab[1].toFixed(1)} b* {swatch.lab[2].toFixed(1)}
        </span>
      </p>
      {delta !== undefined && <b className="desk-delta">ΔE {delta.toFixed(1)}</b>}
      {note && <p className="text-fine">{note}</p>}
    </div>
  )
}

const grams = (value: number, scale: number) => `${value.toFixed(Math.max(0, Math.ceil(-Math.log10(scale) - 1e-9)))} g`

/** Less the maker, and what all concentrates are called. */
const short = (name: string) =>
  name
    .split(" ")
    .slice(1)
    .join(" ")
    .replace(/ (toner )?concentrate$/, "")

/** "0.8 darker, 0.4 redder". */
function moved([l, a, b]: Swatch["lab"]): string {
  const parts: [number, string][] = [
    [Math.abs(l), l < 0 ? "darker" : "paler"],
    [Math.abs(a), a < 0 ? "greener" : "redder"],
    [Math.abs(b), b < 0 ? "bluer" : "yellower"],
  ]
  const seen = parts.filter(([size]) => size >= 0.1).sort(([one], [other]) => other - one)
  return seen.length ? seen.map(([size, word]) => `${size.toFixed(1)} ${word}`).join(", ") : "hardly anything"
}
