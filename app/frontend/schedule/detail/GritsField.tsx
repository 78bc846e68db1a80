import { ABRASIVES, RUBS } from "@/types/kinds"
import type { StepFieldsProps } from "./stepProps"

const WORDS = new Map(ABRASIVES.map((one) => [one.id, one.words]))
const IDS = new Map(ABRASIVES.map((one) => [one.words, one.id]))
const said = (grits: string[]): string => grits.map((grit) => WORDS.get(grit) ?? grit).join(", ")

/** "600 grit" and "fine compound" are one each; else blanks part as commas do. */
function typedGrits(text: string): string[] {
  return text
    .split(/[,;]+/)
    .map((part) => part.trim())
    .flatMap((part) => (IDS.has(part) || /\sgrit$/i.test(part) ? [IDS.get(part) ?? part] : part.split(/\s+/)))
    .filter(Boolean)
}

/** What it is rubbed with, in order: typed, or chosen from all that this kind of work may rub with. */
export function GritsField({ step, error, onSet }: StepFieldsProps) {
  const grits = step.grits ?? []
  const wrong = error("grits")
  const may = RUBS[step.kind] ?? ["paper"]
  const groups = [...new Set(ABRASIVES.map((one) => one.group))]
    .map((group) => [group, ABRASIVES.filter((one) => one.group === group && may.includes(one.is))] as const)
    .filter(([, list]) => list.length > 0)
  return (
    <form
      className="is-wide grits-field"
      key={grits.join()}
      onSubmit={(event) => {
        event.preventDefault()
        const typed = String(new FormData(event.currentTarget).get("grits"))
        onSet({ grits: typedGrits(typed) })
      }}
    >
      <label className="ui-field">
        <span className="text-label">Grits, in order</span>
        <input
          name="grits"
          className="ui-input"
          defaultValue={said(grits)}
          aria-invalid={Boolean(wrong)}
          onBlur={(event) => event.target.value !== said(grits) && event.target.form?.requestSubmit()}
        />
        {wrong && (
          <span className="error-text" role="alert">
            {wrong}
          </span>
        )}
      </label>
      <label className="ui-field">
        <span className="text-label">One more</span>
        <select
          className="ui-input"
          value=""
          disabled={grits.length >= 8}
          onChange={(event) => onSet({ grits: [...grits, event.target.value] })}
        >
          <option value="">choose</option>
          {groups.map(([group, list]) => (
            <optgroup key={group} label={group}>
              {list.map((one) => (
                <option key={one.id} value={one.id}>
                  {one.words}, {one.mean_um} µm
                </option>
              ))}
            </optgroup>
          ))}
        </select>
      </label>
    </form>
  )
}
