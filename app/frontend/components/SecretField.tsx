import { useState } from "react"
import { Field } from "./Field"

type Props = {
  label: string
  value: string
  autoComplete: "current-password" | "new-password" | "off"
  /** Digits only: a code for the bench. */
  digits?: boolean
  error?: string
  onChange: (value: string) => void
}

/** A password or a code, which is shown while whoever types wants to see it. */
export function SecretField({ label, value, autoComplete, digits, error, onChange }: Props) {
  const [seen, setSeen] = useState(false)
  return (
    <Field label={label} error={error}>
      {(id, invalid) => (
        <span className="secret-field">
          <input
            id={id}
            className="ui-input"
            type={seen ? "text" : "password"}
            inputMode={digits ? "numeric" : undefined}
            autoComplete={autoComplete}
            autoCapitalize="off"
            spellCheck={false}
            value={value}
            aria-invalid={invalid}
            aria-describedby={invalid ? `${id}-error` : undefined}
            onChange={(event) => onChange(event.target.value)}
          />
          <button type="button" className="ui-button" data-quiet aria-pressed={seen} onClick={() => setSeen(!seen)}>
            {seen ? "Hide" : "Show"}
          </button>
        </span>
      )}
    </Field>
  )
}
