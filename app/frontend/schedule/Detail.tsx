import { Cautions } from "@/components/Cautions"
import { duration, when } from "@/lib/time"
import { useMeasures } from "@/lib/units"
import type { Operation, Room, Row, Sheet, ShelfItem, Step } from "@/types"
import { FilmControl } from "./FilmControl"
import { HardWindows } from "./HardWindows"
import { Ledger } from "./Ledger"
import { MixForPass } from "./MixForPass"
import { PlaceFields } from "./PlaceFields"
import { StepFields } from "./StepFields"
import type { StepSet } from "./stepProps"
import { WhenControl } from "./WhenControl"
import { METHODS } from "./words"

type Props = {
  sheet: Sheet
  row: Row
  shelf: ShelfItem[]
  rooms: Room[]
  faces: string[]
  /** Faces that are edges: a coat on another face reaches them. */
  edges: string[]
  pending: (field: string) => boolean
  error: (field: string) => string | undefined
  onEdit: (operation: Operation, reason?: string) => void
  /** Coats that are done stay as they were: the rest is split off and changed. */
  onSplitAndSet: (step: Step, done: number, fields: StepSet) => void
  onMove: (row: Row, start: number) => void
  onUnpin: (row: Row) => void
}

/** The pointer panel: what the selected step is, when, how thick, and why it takes as long as it does. */
export function Detail(props: Props) {
  const { sheet, row, rooms, onEdit } = props
  const step = sheet.document.steps.find((candidate) => candidate.id === row.step)
  if (!step) return null
  const done = Math.max(
    0,
    ...sheet.rows
      .filter((other) => other.step === step.id && other.status !== "planned" && !other.inserted)
      .map((other) => other.coat),
  )
  const set = (fields: StepSet) => {
    const splits = done > 0 && done < (step.coats ?? 1) && Object.keys(fields).join() !== "coats"
    if (splits) props.onSplitAndSet(step, done, fields)
    else onEdit({ op: "change_step", id: step.id, set: fields })
  }
  const item = props.shelf.find((candidate) => candidate.id === step.product)
  const fields = {
    step,
    shelf: props.shelf,
    rooms,
    faces: props.faces,
    homeRoom: sheet.document.room ?? rooms[0]?.name ?? "",
    pending: props.pending,
    error: props.error,
    onSet: set,
  }
  const ledger = row.drying ?? row.waits[0] ?? null
  return (
    <section className="step-detail surface-lit" aria-label={`Detail of ${row.words}`}>
      <header className="detail-head">
        <h2 className="panel-title">{row.words}</h2>
        <p className="text-second">
          {item
            ? [item.name, step.method ? METHODS[step.method] : "", row.pattern].filter(Boolean).join(", ")
            : row.inserted
              ? "inserted by the plan"
              : ""}
        </p>
        <p className="detail-when">
          {when(row.work_start, sheet.zone)}
          {row.hands_min > 0 && `, ${duration(row.hands_min)} hands`}
        </p>
      </header>
      <div className="detail-body">
        <div>
          {!row.inserted && <WhenControl {...props} />}
          {row.inserted ? (
            <p className="text-second">
              {row.kind === "wipe_off"
                ? "What was flooded on comes off before it is tacky."
                : "The window below is shut when hands are free, so the plan scuffs first."}
            </p>
          ) : (
            <StepFields {...fields} />
          )}
          {!row.inserted && (step.kind === "coat" || step.kind === "stain") && (
            <PlaceFields {...fields} sheet={sheet} edges={props.edges} />
          )}
          {!row.inserted && <HardWindows sheet={sheet} row={row} step={step} onSet={set} onEdit={props.onEdit} />}
        </div>
        <div>
          {step.kind === "coat" && !row.inserted ? (
            <FilmControl {...props} step={step} item={item} onWet={(wet_um) => set({ wet_um })} />
          ) : (
            <Window row={row} sheet={sheet} />
          )}
          <Cautions texts={row.cautions} />
        </div>
        <div>
          {ledger ? (
            <Ledger ledger={ledger} zone={sheet.zone} title={ledgerTitle(row, ledger === row.drying)} />
          ) : (
            <p className="text-second">Nothing has to dry before this.</p>
          )}
          {!row.inserted && <StepOrder {...props} step={step} />}
        </div>
      </div>
      {row.mix && (
        <MixForPass
          row={row}
          mix={row.mix}
          step={step}
          zone={sheet.zone}
          onSet={set}
          error={props.error}
          pending={props.pending}
        />
      )}
    </section>
  )
}

function ledgerTitle(row: Row, own: boolean): string {
  const words = own ? row.drying?.words : row.waits[0]?.words
  return own ? `From laying to ${words}` : `Waits: ${words}`
}

function Window({ row, sheet }: { row: Row; sheet: Sheet }) {
  const { film } = useMeasures()
  return (
    <section aria-label="What it does">
      <h3 className="text-head">{row.kind === "look" ? "Look" : "On the film"}</h3>
      <p className="text-second">
        {row.change_um
          ? `Takes ${film.text(Math.abs(row.change_um), 1)}, ${film.text(row.film_um ?? 0)} left.`
          : "Leaves the film as it is."}
        {row.kind === "stain" && " Colour goes into the wood."}
      </p>
      <dl className="mt-3 grid gap-2">
        <div>
          <dt className="text-label">Hands</dt>
          <dd className="text-head">{row.hands_min ? duration(row.hands_min) : "none"}</dd>
        </div>
        <div>
          <dt className="text-label">Hands end</dt>
          <dd className="text-head">{when(row.hands_end, sheet.zone)}</dd>
        </div>
      </dl>
    </section>
  )
}

function StepOrder({ sheet, step, onEdit }: Props & { step: Step }) {
  const steps = sheet.document.steps
  const at = steps.findIndex((candidate) => candidate.id === step.id)
  const coats = step.coats ?? 1
  return (
    <div className="mt-3 flex flex-wrap gap-x-1">
      <button
        type="button"
        className="ui-button"
        data-quiet
        disabled={at === 0}
        onClick={() => onEdit({ op: "move_step", id: step.id, after: steps[at - 2]?.id ?? null })}
      >
        Earlier
      </button>
      <button
        type="button"
        className="ui-button"
        data-quiet
        disabled={at === steps.length - 1}
        onClick={() => onEdit({ op: "move_step", id: step.id, after: steps[at + 1]?.id ?? null })}
      >
        Later
      </button>
      {coats > 1 && (
        <button
          type="button"
          className="ui-button"
          data-quiet
          onClick={() => onEdit({ op: "split_coats", id: step.id, keep: coats - 1 })}
        >
          Split off last coat
        </button>
      )}
      <button type="button" className="ui-button" data-quiet onClick={() => onEdit({ op: "remove_step", id: step.id })}>
        Remove
      </button>
    </div>
  )
}
