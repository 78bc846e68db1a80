import { useState } from "react"
import { typedNumber } from "@/lib/typed"
import { TextField } from "./Field"

type Props = { label: string; value: number; onNumber: (value: number) => void }

/** A number that is taken as it is typed; what is on the way to one, or none, stays as typed beside what is accepted. */
export function NumberField({ label, value, onNumber }: Props) {
  const [typed, setTyped] = useState(String(value))
  const [known, setKnown] = useState(value)
  if (known !== value) {
    setKnown(value)
    if (typedNumber(typed) !== value) setTyped(String(value))
  }
  const number = typedNumber(typed)
  return (
    <TextField
      label={label}
      value={typed}
      error={typeof number === "number" ? undefined : "A number, such as 3.5."}
      onChange={(text) => {
        setTyped(text)
        const next = typedNumber(text)
        if (typeof next === "number") onNumber(next)
      }}
    />
  )
}
