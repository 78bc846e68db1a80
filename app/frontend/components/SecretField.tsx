import { useEffect, useState } from "react"
import { type Strength, strengthOf } from "@/lib/strength"
import { Field } from "./Field"

type Props = {
  label: string
  value: string
  autoComplete: "current-password" | "new-password" | "off"
  /** Digits only: a code for the bench. */
  digits?: boolean
  error?: string
  /** Names that whoever guesses tries first. */
  names?: string[]
  onChange: (value: string) => void
}

/** A password or a code, which is shown while whoever types wants to see it. */
export function SecretField({ label, value, autoComplete, digits, error, names, onChange }: Props) {
  const [seen, setSeen] = useState(false)
  return (
    <div>
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
      {autoComplete === "new-password" && value && <Told password={value} names={names} />}
    </div>
  )
}

const NO_NAMES: string[] = []

/** How hard a new password is to guess, while it is typed. */
function Told({ password, names = NO_NAMES }: { password: string; names?: string[] }) {
  const [strength, setStrength] = useState<Strength | null>(null)
  const known = names.join("\n")
  useEffect(() => {
    let gone = false
    void strengthOf(password, known.split("\n")).then((next) => {
      if (!gone) setStrength(next)
    })
    return () => {
      gone = true
    }
  }, [password, known])
  return (
    <p className="password-strength" data-score={strength?.score} role="status">
      {strength ? strength.words : ""}
    </p>
  )
}
