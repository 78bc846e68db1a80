import { type ReactNode, useEffect, useId, useState } from "react"

/** A labelled field with what is wrong beside it. */
export function Field({
  label,
  error,
  children,
}: {
  label: string
  error?: string
  children: (id: string, invalid: boolean) => ReactNode
}) {
  const id = useId()
  return (
    <div className="ui-field">
      <label htmlFor={id}>{label}</label>
      {children(id, Boolean(error))}
      {error && (
        <p className="error-text" id={`${id}-error`} role="alert">
          {error}
        </p>
      )}
    </div>
  )
}

export function TextField(props: {
  label: string
  value: string
  onChange: (value: string) => void
  error?: string
  type?: string
  placeholder?: string
  list?: string[]
}) {
  const list = useId()
  return (
    <Field label={props.label} error={props.error}>
      {(id, invalid) => (
        <>
          <input
            id={id}
            className="ui-input"
            type={props.type ?? "text"}
            inputMode={props.type === "number" ? "decimal" : undefined}
            list={props.list ? list : undefined}
            value={props.value}
            placeholder={props.placeholder}
            aria-invalid={invalid}
            aria-describedby={invalid ? `${id}-error` : undefined}
            onChange={(event) => props.onChange(event.target.value)}
          />
          {props.list && (
            <datalist id={list}>
              {props.list.map((option) => (
                <option key={option} value={option} />
              ))}
            </datalist>
          )}
        </>
      )}
    </Field>
  )
}

export function SelectField(props: {
  label: string
  value: string
  onChange: (value: string) => void
  options: [string, string][]
  error?: string
}) {
  return (
    <Field label={props.label} error={props.error}>
      {(id, invalid) => (
        <select
          id={id}
          className="ui-input"
          value={props.value}
          aria-invalid={invalid}
          onChange={(event) => props.onChange(event.target.value)}
        >
          {props.options.map(([value, words]) => (
            <option key={value} value={value}>
              {words}
            </option>
          ))}
        </select>
      )}
    </Field>
  )
}

/**
 * A number with minus and plus beside it; what is typed is sent on Enter or on leaving the field, and kept when it is
 * refused.
 */
export function Stepper(props: {
  label: string
  unit?: string
  value: number
  by: number
  least?: number
  most?: number
  pending?: boolean
  error?: string
  disabled?: boolean
  onChange: (value: number) => void
}) {
  const [typed, setTyped] = useState(String(props.value))
  useEffect(() => setTyped(String(props.value)), [props.value])
  const commit = () => {
    const number = Number(typed.replace(",", "."))
    if (typed.trim() !== "" && Number.isFinite(number)) {
      if (number !== props.value) props.onChange(number)
    } else setTyped(String(props.value))
  }
  const step = (by: number) => {
    const next = Math.round((props.value + by) * 100) / 100
    props.onChange(Math.min(Math.max(next, props.least ?? -Infinity), props.most ?? Infinity))
  }
  return (
    <Field label={props.unit ? `${props.label}, ${props.unit}` : props.label} error={props.error}>
      {(id, invalid) => (
        <div className="ui-stepper">
          <button
            type="button"
            className="ui-button"
            disabled={props.disabled}
            aria-label={`${props.label}: less`}
            onClick={() => step(-props.by)}
          >
            −
          </button>
          <input
            id={id}
            className={`ui-input ${props.pending ? "ui-pending" : ""}`}
            inputMode="decimal"
            disabled={props.disabled}
            value={typed}
            aria-invalid={invalid}
            aria-describedby={invalid ? `${id}-error` : undefined}
            onChange={(event) => setTyped(event.target.value)}
            onBlur={commit}
            onKeyDown={(event) => event.key === "Enter" && commit()}
          />
          <button
            type="button"
            className="ui-button"
            disabled={props.disabled}
            aria-label={`${props.label}: more`}
            onClick={() => step(props.by)}
          >
            +
          </button>
        </div>
      )}
    </Field>
  )
}
