import { Link } from "@inertiajs/react"
import type { ReactNode } from "react"
import type { Approval, Looks, Sheet } from "@/types"
import { inkOn } from "./ink"

type Props = {
  looks: Looks
  sheet: Sheet
  step: string | null
  light: string
  approval: Approval | null
  onSelect: (step: string) => void
}

/** The look after each step in large, what it was read as, what it becomes, and how far the prediction goes. */
export function LookTab({ looks, sheet, step, light, approval, onSelect }: Props) {
  const gaps = looks.stages.at(-1)?.gaps ?? []
  const notes = [...new Set(looks.stages.flatMap((stage) => stage.notes))]
  return (
    <div className="look-tab">
      <Stages {...{ looks, sheet, step, light, onSelect }} />
      <ul className="look-row" aria-label="Beside it">
        {looks.pale && (
          <Swatch hex={looks.pale[light]} lightness={looks.stages.at(-1)?.lab[0]}>
            on a pale board
          </Swatch>
        )}
        {looks.dark && (
          <Swatch hex={looks.dark[light]} lightness={looks.stages.at(-1)?.lab[0]}>
            on a dark board
          </Swatch>
        )}
        {looks.later.map((later) => (
          <Swatch key={later.words} hex={later.hexes[light]} lightness={later.lab[0]}>
            {later.words}
          </Swatch>
        ))}
        {looks.read && (
          <Swatch hex={looks.read.hexes[light]} lightness={looks.read.lab[0]} read>
            <Link href={`/boards/${looks.read.board_id}`} className="quiet-link">
              read on {looks.read.words}
            </Link>
          </Swatch>
        )}
      </ul>
      <p className="text-second">
        {looks.read && "A reading goes before a prediction. "}Predicted on {looks.ground}. {looks.own} {looks.says}
        {gaps.length > 0 && ` Not counted, for want of colour figures: ${gaps.join(", ")}.`} {notes.join(". ")}
      </p>
      {approval && (
        <p className={approval.stale ? "caution-text" : "text-second"}>
          {approval.stale
            ? `The look that ${approval.name} approved is another one by now: ask again.`
            : `Look approved by ${approval.name}, seen by ${approval.light}.`}
        </p>
      )}
    </div>
  )
}

function Stages({ looks, sheet, step, light, onSelect }: Omit<Props, "approval">) {
  const number = (id: string) => sheet.document.steps.findIndex((candidate) => candidate.id === id) + 1
  return (
    <div className="look-row" role="group" aria-label="The look after each step">
      {looks.stages.map((stage) => {
        const id = stage.step
        const coat = stage.coat ? `, coat ${stage.coat}` : ""
        const where = id ? `after step ${number(id)}${coat}` : `bare ${looks.wood}`
        return (
          <button
            key={`${id} ${stage.coat}`}
            type="button"
            className="look-stage"
            data-state={id && id === step ? "on" : "rest"}
            style={{ background: stage.hexes[light], color: inkOn(stage.lab[0]) }}
            disabled={!id}
            onClick={() => id && onSelect(id)}
            aria-label={`${where}: L* ${stage.lab[0]}, a* ${stage.lab[1]}, b* ${stage.lab[2]}`}
          >
            {id ? number(id) : "bare"}
          </button>
        )
      })}
    </div>
  )
}

type SwatchProps = { hex?: string; lightness?: number; read?: boolean; children: ReactNode }

function Swatch({ hex, lightness = 50, read, children }: SwatchProps) {
  return (
    <li className="look-beside" data-read={read || undefined} style={{ background: hex, color: inkOn(lightness) }}>
      {children}
    </li>
  )
}
