import { duration } from "@/lib/time"
import { type Line, RowsField } from "./RowsField"

export type Typed = string | string[][]

type Props = {
  line: Line
  products: [string, string][]
  /** What was typed since it was kept. */
  typed?: Typed
  /** Where the figures of this product come from, unless a line says otherwise. */
  source: string
  error?: string
  onChange: (value: Typed) => void
}

/** One figure: its words, its field, its unit; greyed where the class stands in for a sheet that is silent. */
export function Figure({ line, products, typed, source, error, onChange }: Props) {
  const id = `figure-${line.path}`
  const { columns, rows } = line
  const changed = typed !== undefined && JSON.stringify(typed) !== JSON.stringify(columns ? rows : own(line))
  const said = error ?? from(line, source)
  return (
    <li
      className="product-figure"
      data-wide={(columns && line.kind !== "range") || line.kind === "text" || undefined}
      data-state={changed ? "changed" : line.state}
    >
      {columns ? (
        <>
          <span className="figure-words">{line.words}</span>
          <RowsField
            line={line}
            columns={columns}
            rows={Array.isArray(typed) ? typed : line.state === "given" ? (rows ?? []) : []}
            hint={line.state === "default" ? (rows ?? []) : []}
            products={products}
            invalid={Boolean(error)}
            onChange={onChange}
          />
        </>
      ) : (
        <>
          <label htmlFor={id} className="figure-words">
            {line.words}
          </label>
          <Value
            id={id}
            line={line}
            value={typeof typed === "string" ? typed : own(line)}
            products={products}
            invalid={Boolean(error)}
            onChange={onChange}
          />
        </>
      )}
      {said && (
        <span id={`${id}-from`} className={error ? "error-text" : "figure-from"} role={error ? "alert" : undefined}>
          {said}
        </span>
      )}
    </li>
  )
}

const own = (line: Line) => (line.state === "given" ? line.value : "")

function from(line: Line, source: string): string | null {
  if (line.state === "given") return line.source === source || !line.source ? null : line.source
  return line.state === "default" && line.columns ? "estimate of its class" : null
}

type ValueProps = {
  id: string
  line: Line
  value: string
  products: [string, string][]
  invalid: boolean
  onChange: (value: string) => void
}

function Value({ id, line, value, products, invalid, onChange }: ValueProps) {
  const options = choices(line, products)
  return (
    <span className="figure-value">
      {options ? (
        <select id={id} className="ui-input" value={value} onChange={(event) => onChange(event.target.value)}>
          {options.map(([key, words]) => (
            <option key={key} value={key}>
              {words}
            </option>
          ))}
        </select>
      ) : (
        <input
          id={id}
          className="ui-input"
          value={value}
          aria-invalid={invalid}
          aria-describedby={invalid ? `${id}-from` : undefined}
          placeholder={line.state === "default" ? line.value : ""}
          onChange={(event) => onChange(event.target.value)}
        />
      )}
      <span className="unit">
        {line.unit}
        {line.state === "default" && value === "" ? " est." : ""}
        {line.unit === "min" ? long(value) : ""}
      </span>
    </span>
  )
}

/** Long times once more in hours and days. */
function long(typed: string): string {
  const minutes = Number(typed.replace(",", "."))
  return minutes >= 120 ? ` = ${duration(minutes).replace(/ (00|0 h)$/, "")}` : ""
}

function choices(line: Line, products: [string, string][]): [string, string][] | null {
  if (line.kind === "flag")
    return [
      ["", "no"],
      ["yes", "yes"],
    ]
  if (line.kind === "product") return [["", "–"], ...products]
  if (line.kind !== "choice") return null
  return [["", "–"], ...(line.choices ?? []).map((choice): [string, string] => [choice, choice])]
}
