import type { Looks, Sheet } from "@/types"
import { inkOn } from "./ink"
import { LightChoice } from "./LightChoice"
import { useLight } from "./useLight"

type Props = { looks: Looks; sheet: Sheet; step: string | null; onSelect: (step: string) => void }

/** The look after each step as a strip of true predicted colour, the bare wood first, in the light it is seen in. */
export function LookStrip({ looks, sheet, step, onSelect }: Props) {
  const [light] = useLight()
  const number = (id: string | null) => sheet.document.steps.findIndex((candidate) => candidate.id === id) + 1
  const last = looks.stages.at(-1)
  const gaps = last?.gaps ?? []
  const notes = looks.stages.flatMap((stage) => stage.notes)
  return (
    <section className="look" aria-label="The look after each step">
      <div className="look-strip">
        {looks.stages.map((stage, index) => (
          <button
            key={`${stage.step} ${stage.coat}`}
            type="button"
            className="look-stage"
            data-state={stage.step && stage.step === step ? "on" : "rest"}
            style={{ background: stage.hexes[light], color: inkOn(stage.lab[0]) }}
            disabled={!stage.step}
            onClick={() => stage.step && onSelect(stage.step)}
            aria-label={`${index === 0 ? `bare ${looks.species}` : `after step ${number(stage.step)}${stage.coat ? `, coat ${stage.coat}` : ""}`}: L* ${stage.lab[0]}, a* ${stage.lab[1]}, b* ${stage.lab[2]}`}
          >
            <b>{index === 0 ? "bare" : number(stage.step)}</b>
          </button>
        ))}
        <span className="look-spread" aria-hidden="true">
          <i style={{ background: looks.pale[light] }} />
          <i style={{ background: looks.dark[light] }} />
        </span>
      </div>
      <div className="look-foot">
        <LightChoice lights={looks.lights} />
        <p className="small sub">
          Predicted on a mean board of {looks.species}; at the end a pale and a dark one. {looks.says}
          {gaps.length > 0 && ` Not counted, for want of colour figures: ${gaps.join(", ")}.`} {notes.join(". ")}
        </p>
      </div>
    </section>
  )
}
