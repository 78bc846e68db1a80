import type { Product } from "@/types"

export type Line = Product["groups"][number]["lines"][number]
type Column = NonNullable<Line["columns"]>[number]
type Props = {
  line: Line
  columns: Column[]
  rows: string[][]
  /** What the class stands in with, greyed, where nothing is given. */
  hint: string[][]
  products: [string, string][]
  invalid: boolean
  onChange: (rows: string[][]) => void
}

const emptyRow = (columns: Column[]) =>
  columns.map((column) => (column.kind === "choice" ? (column.choices?.[0]?.[0] ?? "") : ""))

/** A figure of several parts: a row of fields for each, with rows to add and to take away. */
export function RowsField({ line, columns, rows, hint, products, invalid, onChange }: Props) {
  const single = line.kind === "range"
  const shown = rows.length > 0 ? rows : [emptyRow(columns)]
  const set = (row: number, column: number, value: string) =>
    onChange(
      shown.map((cells, at) => (at === row ? cells.map((cell, index) => (index === column ? value : cell)) : cells)),
    )
  return (
    <fieldset className="figure-rows" data-kind={line.kind} aria-label={line.words}>
      {!single && (
        <div className="figure-row text-fine text-second">
          {columns.map((column) => (
            <span key={column.words} aria-hidden="true">
              {column.words}
              {column.unit ? `, ${column.unit}` : ""}
            </span>
          ))}
          <button
            type="button"
            className="ui-button"
            data-size="square"
            data-quiet
            title="One more"
            aria-label={`${line.words}: one more row`}
            onClick={() => onChange([...shown, emptyRow(columns)])}
          >
            +
          </button>
        </div>
      )}
      {shown.map((cells, row) => (
        // biome-ignore lint/suspicious/noArrayIndexKey: rows have no name but their place
        <div key={row} className="figure-row">
          {columns.map((column, index) => (
            <Cell
              key={column.words}
              column={column}
              label={`${line.words}${single ? "" : `, row ${row + 1}`}: ${column.words}`}
              value={cells[index] ?? ""}
              hint={hint[row]?.[index] ?? (single ? column.words : undefined)}
              products={products}
              invalid={invalid}
              onChange={(value) => set(row, index, value)}
            />
          ))}
          {!single && (
            <button
              type="button"
              className="ui-button"
              data-size="square"
              data-quiet
              aria-label={`${line.words}: take row ${row + 1} away`}
              disabled={rows.length === 0}
              onClick={() => onChange(shown.filter((_, at) => at !== row))}
            >
              ×
            </button>
          )}
          {single && <span className="unit">{line.unit}</span>}
        </div>
      ))}
    </fieldset>
  )
}

/** What may be chosen, and what stands there already: a sheet may name a class, or a part, that no list has. */
function choicesOf(column: Column, products: [string, string][], value: string): [string, string][] | null {
  const listed = column.kind === "product" ? [["", "choose"] as [string, string], ...products] : column.choices
  if (!listed || listed.some(([key]) => key === value)) return listed
  return [...listed, [value, value.replaceAll("_", " ")]]
}

type CellProps = {
  column: Column
  label: string
  value: string
  hint?: string
  products: [string, string][]
  invalid: boolean
  onChange: (value: string) => void
}

function Cell({ column, label, value, hint, products, invalid, onChange }: CellProps) {
  const options = choicesOf(column, products, value)
  if (options)
    return (
      <select className="ui-input" aria-label={label} value={value} onChange={(event) => onChange(event.target.value)}>
        {options.map(([key, words]) => (
          <option key={key} value={key}>
            {words}
          </option>
        ))}
      </select>
    )
  return (
    <input
      className="ui-input"
      aria-label={label}
      inputMode={column.kind === "number" ? "decimal" : undefined}
      value={value}
      aria-invalid={invalid}
      placeholder={hint}
      onChange={(event) => onChange(event.target.value)}
    />
  )
}
