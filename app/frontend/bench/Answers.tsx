import { useState } from "react"
import type { BenchRow } from "@/types"
import type { Touch } from "./touch"

/** Moisture as the meter gives it, place by place; read is done. */
export function MoistureReadings({ row, onTouch }: { row: BenchRow; onTouch: (touch: Touch) => void }) {
  const [typed, setTyped] = useState("")
  const readings = typed
    .split(/[\s;/]+/)
    .filter(Boolean)
    .map(percent)
  const wrong = readings.some((reading) => !(reading >= 0 && reading <= 100))
  return (
    <form
      className="contents"
      onSubmit={(event) => {
        event.preventDefault()
        if (readings.length > 0 && !wrong) onTouch({ kind: "done", pass: row.key, readings })
      }}
    >
      <label className="ui-field grow">
        <span className="text-label">Moisture, %, one place after the other</span>
        <input
          className="ui-input"
          inputMode="decimal"
          value={typed}
          placeholder="9.1 8.8 9.4"
          aria-invalid={wrong}
          onChange={(event) => setTyped(event.target.value)}
        />
        {wrong && (
          <span className="error-text" role="alert">
            A reading is a number from 0 to 100 %.
          </span>
        )}
      </label>
      <button type="submit" className="ui-tape" disabled={readings.length === 0 || wrong}>
        Read{readings.length > 0 && !wrong ? `: ${mean(readings)} %` : ""}
      </button>
    </form>
  )
}

const percent = (text: string): number => Number(text.replace(",", ".").replace("%", ""))
const mean = (readings: number[]): string =>
  (readings.reduce((sum, reading) => sum + reading, 0) / readings.length).toFixed(1)

/** A look that may send its steps round again: right, once more, or not dry enough to say. */
export function LookAnswers({ row, onTouch }: { row: BenchRow; onTouch: (touch: Touch) => void }) {
  const rounds = row.round ?? 0
  return (
    <>
      <button
        type="button"
        className="ui-tape"
        data-space
        onClick={() => onTouch({ kind: "done", pass: row.key, answer: "yes" })}
      >
        Yes, it is right
        <span className="text-fine">space</span>
      </button>
      <button
        type="button"
        className="ui-button"
        data-size="bench"
        onClick={() => onTouch({ kind: "done", pass: row.key, answer: "again" })}
      >
        Once more
        <span className="text-second text-fine block">
          {rounds === 0 ? "the first time again" : `${rounds + 1} times again then`}
        </span>
      </button>
      <button
        type="button"
        className="ui-button"
        data-size="bench"
        onClick={() => onTouch({ kind: "dry_test", pass: row.key, answer: "not_yet" })}
      >
        Not yet
      </button>
    </>
  )
}
