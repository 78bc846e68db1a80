import { Link } from "@inertiajs/react"
import type { Looks, Sheet } from "@/types"
import { inkOn } from "./ink"
import { LightChoice } from "./LightChoice"

type Props = {
  looks: Looks
  sheet: Sheet
  step: string | null
  light: string
  onLight: (id: string) => void
  /** The light of the place where the piece will stand. */
  place: string
  onSelect: (step: string) => void
}

/** The look after each step as a strip of true predicted colour, the bare wood first, in the light it is seen in. */
export function LookStrip({ looks, sheet, step, light, onLight, place, onSelect }: Props) {
  const number = (id: string | null) => sheet.document.steps.findIndex((candidate) => candidate.id === id) + 1
  const last = looks.stages.at(-1)
  const gaps = last?.gaps ?? []
  const notes = looks.stages.flatMap((stage) => stage.notes)
  return (
    <section className="look-chip" aria-label="The look after each step">
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
        <span className="look-spread" role="img" aria-label="On a pale and on a dark board">
          <i style={{ background: looks.pale[light] }} />
          <i style={{ background: looks.dark[light] }} />
        </span>
        {looks.read && (
          <Link
            href={`/boards/${looks.read.board_id}`}
            className="look-read"
            style={{ background: looks.read.hexes[light], color: inkOn(looks.read.lab[0]) }}
            aria-label={`Read on ${looks.read.words}: L* ${looks.read.lab.join(", ")}`}
          >
            read
          </Link>
        )}
        {looks.later.map((later) => (
          <span
            key={later.words}
            className="look-later"
            style={{ background: later.hexes[light], color: inkOn(later.lab[0]) }}
          >
            {later.words}
          </span>
        ))}
      </div>
      <div className="look-foot">
        <LightChoice lights={looks.lights} light={light} onLight={onLight} place={place} />
        <p className="text-fine text-second">
          {looks.read && `Outlined: as read on ${looks.read.words}; a reading goes before a prediction. `}Predicted on a
          mean board of {looks.species}; at the end a pale and a dark one
          {looks.later.length > 0 && ", and what light makes of it"}. {looks.own} {looks.says}
          {gaps.length > 0 && ` Not counted, for want of colour figures: ${gaps.join(", ")}.`} {notes.join(". ")}
        </p>
      </div>
    </section>
  )
}
