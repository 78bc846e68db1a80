import { type ReactNode, useEffect, useId, useState } from "react"
import { figure } from "@/lib/typed"
import { useNear } from "./near"

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
  autoComplete?: string
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
            autoComplete={props.autoComplete}
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

/** So many values of a list are told ahead. */
const SHORT = 4

export function SelectField(props: {
  label: string
  value: string
  onChange: (value: string) => void
  options: [string, string][]
  error?: string
  /** Values that a hand is about to choose: told as it opens a short list. */
  near?: (value: string) => void
}) {
  const others = props.options.map(([value]) => value).filter((value) => value !== props.value)
  return (
    <Field label={props.label} error={props.error}>
      {(id, invalid) => (
        <select
          id={id}
          className="ui-input"
          value={props.value}
          aria-invalid={invalid}
          onFocus={() => {
            if (others.length <= SHORT) for (const value of others) props.near?.(value)
          }}
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
  /** Takes what is typed with a unit, for the server to read. */
  onTyped?: (text: string) => void
  /** A value that a hand is about to set. */
  near?: (value: number) => void
}) {
  const [typed, setTyped] = useState(String(props.value))
  const [unread, setUnread] = useState<string>()
  useEffect(() => {
    setTyped(String(props.value))
    setUnread(undefined)
  }, [props.value])
  const commit = () => {
    const number = figure(typed)
    const known = number !== null || typed.trim() === ""
    setUnread(known || props.onTyped ? undefined : `"${typed.trim()}" is not a number. Still ${props.value}.`)
    if (number === null) {
      if (known) setTyped(String(props.value))
      else props.onTyped?.(typed)
    } else if (number !== props.value) props.onChange(number)
  }
  const next = (from: number, way: -1 | 1) => {
    const value = Math.round((from + way * props.by) * 100) / 100
    return Math.min(Math.max(value, props.least ?? -Infinity), props.most ?? Infinity)
  }
  const near = useNear(props.value, next, props.near)
  return (
    <Field label={props.unit ? `${props.label}, ${props.unit}` : props.label} error={props.error ?? unread}>
      {(id, invalid) => (
        <div className="ui-stepper">
          <button
            type="button"
            className="ui-button"
            disabled={props.disabled}
            aria-label={`${props.label}: less`}
            onClick={() => props.onChange(next(props.value, -1))}
            {...near.button(-1)}
          >
            −
          </button>
          <input
            id={id}
            className={`ui-input ${props.pending ? "ui-pending" : ""}`}
            inputMode={props.onTyped ? "text" : "decimal"}
            disabled={props.disabled}
            value={typed}
            aria-invalid={invalid}
            aria-describedby={invalid ? `${id}-error` : undefined}
            onChange={(event) => {
              setTyped(event.target.value)
              setUnread(undefined)
              const number = figure(event.target.value)
              if (number !== null) near.typed(number)
            }}
            onBlur={commit}
            onKeyDown={(event) => event.key === "Enter" && commit()}
          />
          <button
            type="button"
            className="ui-button"
            disabled={props.disabled}
            aria-label={`${props.label}: more`}
            onClick={() => props.onChange(next(props.value, 1))}
            {...near.button(1)}
          >
            +
          </button>
        </div>
      )}
    </Field>
  )
}
