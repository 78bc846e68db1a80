import { useState } from "react"
import type { Measure } from "@/lib/units"
import { TextField } from "./Field"

type Props = {
  label: string
  measure: Measure
  value: string
  error?: string
  placeholder?: string
  onChange: (stored: string) => void
}

const shownOf = (measure: Measure, stored: string) =>
  stored.trim() === "" || Number.isNaN(Number(stored)) ? stored : measure.number(Number(stored), 2)

/**
 * A figure typed in the unit of this device and kept in the one of the shop; what is no number goes on as it was typed,
 * to be refused in words.
 */
export function MeasureField({ label, measure, value, error, placeholder, onChange }: Props) {
  const [typed, setTyped] = useState(() => shownOf(measure, value))
  const [kept, setKept] = useState({ value, unit: measure.unit })
  if (kept.value !== value || kept.unit !== measure.unit) {
    setKept({ value, unit: measure.unit })
    setTyped(shownOf(measure, value))
  }
  const change = (text: string) => {
    const number = Number(text.replace(",", "."))
    const plain = text.trim() === "" || Number.isNaN(number)
    const stored =
      plain || measure.stored(number) === number ? text : String(Number(measure.stored(number).toPrecision(6)))
    setTyped(text)
    setKept({ value: stored, unit: measure.unit })
    onChange(stored)
  }
  return (
    <TextField
      label={`${label}, ${measure.unit}`}
      value={typed}
      error={error}
      placeholder={placeholder}
      onChange={change}
    />
  )
}
