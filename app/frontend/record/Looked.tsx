import { DayField } from "@/components/DayField"
import { SelectField, TextField } from "@/components/Field"
import type { RecordPage } from "@/types"

export type Query = Record<string, string>

type Props = { query: Query; choices: RecordPage["choices"]; onLook: (change: Query) => void }

/** What is looked for: words, and whose, of what, on which days. */
export function Looked({ query, choices, onLook }: Props) {
  const chosen = (name: string) => ({
    value: query[name] ?? "",
    onChange: (value: string) => onLook({ [name]: value }),
  })
  const named = (names: string[]): [string, string][] => names.map((name) => [name, name])
  return (
    <search className="record-looked">
      <TextField label="Words" {...chosen("words")} />
      <SelectField label="Piece" options={[["", "all"], ...choices.pieces]} {...chosen("piece")} />
      <SelectField label="Product" options={[["", "all"], ...choices.products]} {...chosen("product")} />
      <SelectField label="Person" options={[["", "all"], ...named(choices.people)]} {...chosen("person")} />
      {choices.batches.length > 0 && (
        <SelectField label="Can, by lot" options={[["", "all"], ...choices.batches]} {...chosen("batch")} />
      )}
      {choices.faults.length > 0 && (
        <SelectField label="Fault" options={[["", "all"], ...choices.faults]} {...chosen("fault")} />
      )}
      <DayField label="From" value={query.from ?? ""} onDay={(from) => onLook({ from })} />
      <DayField label="To" value={query.to ?? ""} onDay={(to) => onLook({ to })} />
      {Object.keys(query).length > 0 && (
        <button
          type="button"
          className="ui-button self-end"
          onClick={() => onLook(Object.fromEntries(Object.keys(query).map((name) => [name, ""])))}
        >
          All of it
        </button>
      )}
    </search>
  )
}
