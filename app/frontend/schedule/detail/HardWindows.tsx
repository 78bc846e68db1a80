import { SelectField } from "@/components/Field"
import type { Operation, Row, Sheet, Step } from "@/types"
import type { StepSet } from "./stepProps"

type Flag = "one_batch" | "wet_on_wet" | "while_soft" | "wipe_off"
const FLAGS: { flag: Flag; fits: (step: Step, below?: Step) => boolean; words: string; why: string }[] = [
  {
    flag: "one_batch",
    fits: (step) => step.kind === "coat" && (step.coats ?? 1) > 1,
    words: "All coats from one pot",
    why: "Inside four fifths of its pot life.",
  },
  {
    flag: "wet_on_wet",
    fits: (step, below) => step.kind === "coat" && ((step.coats ?? 1) > 1 || below?.product === step.product),
    words: "Wet on wet",
    why: "By the flash-off times of its sheet; without them it has no effect.",
  },
  {
    flag: "while_soft",
    fits: (step) => step.kind === "level" || step.kind === "rub_out",
    words: "While the film is soft",
    why: "By the soft times of the coat's sheet; without them it has no effect.",
  },
  {
    flag: "wipe_off",
    fits: (step) => ["stain", "fill", "oil", "glaze"].includes(step.kind),
    words: "Flood on, wipe off in its window",
    why: "Work of its own behind each pass, by the sheet's wipe-off times.",
  },
]

/** Windows that may not be missed, and whose hands it must be. */
export function HardWindows({
  sheet,
  row,
  step,
  onSet,
  onEdit,
}: {
  sheet: Sheet
  row: Row
  step: Step
  onSet: (fields: StepSet) => void
  onEdit: (operation: Operation) => void
}) {
  const steps = sheet.document.steps
  const below = steps.slice(0, steps.indexOf(step)).findLast((other) => other.product)
  const flags = FLAGS.filter((candidate) => candidate.fits(step, below))
  const pinned = step.pins?.find((pin) => pin.coat === row.coat && same(pin.faces, row.faces, sheet))
  const hands = (sheet.people.length > 1 || pinned?.person) && row.status === "planned" && row.hands_min > 0
  if (flags.length === 0 && row.sits === null && !hands) return null
  return (
    <>
      {(flags.length > 0 || row.sits !== null) && (
        <div className="ui-checks is-wide">
          {row.sits !== null && (
            <label className="ui-check" title="Set up once; one person applies coat after coat.">
              <input
                type="checkbox"
                checked={row.sits}
                onChange={(event) => onSet({ one_sitting: event.target.checked })}
              />
              All coats in one sitting
            </label>
          )}
          {flags.map(({ flag, words, why }) => (
            <label key={flag} className="ui-check" title={why}>
              <input
                type="checkbox"
                checked={step[flag] ?? false}
                onChange={(event) => onSet({ [flag]: event.target.checked || null })}
              />
              {words}
            </label>
          ))}
        </div>
      )}
      {hands && (
        <SelectField
          label="Done by"
          value={pinned?.person ?? ""}
          options={[
            ["", "whoever is free"],
            ...sheet.people.map((person): [string, string] => [person, person]),
            ...(pinned?.person && !sheet.people.includes(pinned.person)
              ? [[pinned.person, `${pinned.person}, not at the bench`] as [string, string]]
              : []),
          ]}
          onChange={(person) =>
            onEdit({
              op: "pin",
              id: step.id,
              coat: row.coat,
              start: pinned?.start ?? null,
              person: person || null,
              ...(pinned?.faces ? { faces: pinned.faces } : turned(row, sheet)),
            })
          }
        />
      )}
    </>
  )
}

/** A pass that is one of several faces of its coat is named by its faces. */
export const turned = (row: Row, sheet: Sheet) => {
  const first = sheet.rows.find((other) => other.step === row.step && other.coat === row.coat && !other.inserted)
  return first && first.key !== row.key ? { faces: row.faces } : {}
}
const same = (faces: string[] | undefined, own: string[], sheet: Sheet) =>
  faces ? faces.join() === own.join() : sheet.rows.some((row) => row.faces.join() === own.join())
