import { type ReactNode, useEffect, useState } from "react"
import { Field } from "./Field"

/** Years that are meant, not on the way to being typed. */
const MEANT = /^2\d{3}-/

type Props = {
  label: string
  /** "2026-12-24"; blank for none. */
  value: string
  onDay: (day: string) => void
  children?: ReactNode
}

/** A day: told once all of it is typed, and when it is emptied. */
export function DayField({ label, value, onDay, children }: Props) {
  const [typed, setTyped] = useState(value)
  useEffect(() => setTyped(value), [value])
  const type = (day: string, done: boolean) => {
    setTyped(day)
    if (day !== value && (MEANT.test(day) || (day === "" && done))) onDay(day)
  }
  return (
    <Field label={label}>
      {(id) => (
        <div className="flex gap-2">
          <input
            id={id}
            type="date"
            className="ui-input"
            value={typed}
            onChange={(event) => type(event.target.value, false)}
            onBlur={(event) => type(event.target.value, true)}
          />
          {children}
        </div>
      )}
    </Field>
  )
}
