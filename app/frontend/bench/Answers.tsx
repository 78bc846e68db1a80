import { useState } from "react"
import type { BenchRow } from "@/types"
import { FromInstrument } from "./FromInstrument"
import type { Touch } from "./touch"

type Props = { row: BenchRow; reads: NonNullable<BenchRow["reads"]>; now: number; onTouch: (touch: Touch) => void }

/** The instrument that reads it. */
const READ_BY: Record<string, string> = { moisture: "moisture", film: "gauge", gloss: "gloss", colour: "colour" }

const WORDS: Record<string, string> = {
  moisture: "Moisture",
  film: "Film",
  gloss: "Gloss at 60°",
  air: "Air",
  colour: "Colour by day",
}

const EXAMPLES: Record<string, string> = { moisture: "9.1 8.8 9.4", air: "18 52", colour: "64.5 8.0 21.5" }

/** Readings as the instrument gives them, place by place; read is done. */
export function Readings({ row, reads, now, onTouch }: Props) {
  const [typed, setTyped] = useState("")
  const [wood, setWood] = useState("")
  const [points, setPoints] = useState("")
  const moist = reads.words === "moisture"
  // One thing of several numbers, not one number from several places.
  const one = reads.count < 10
  const readings = typed
    .split(/[\s;/]+/)
    .filter(Boolean)
    .map(number)
  const wrong = readings.some((reading) => !(reading >= reads.least && reading <= reads.most))
  const correction = [wood, points].map((text) => (text.trim() === "" ? null : number(text)))
  const amiss = correction.some((value) => Number.isNaN(value))
  return (
    <form
      className="bench-readings"
      onSubmit={(event) => {
        event.preventDefault()
        if (readings.length === 0 || wrong || amiss) return
        const [t_c, added] = correction
        onTouch({
          kind: "done",
          pass: row.key,
          readings,
          ...(t_c === null || t_c === undefined ? {} : { t_c }),
          ...(added === null || added === undefined ? {} : { points: added }),
        })
      }}
    >
      <label className="ui-field grow">
        <span className="text-label">
          {WORDS[reads.words] ?? reads.words}, {reads.unit}
          {one ? "" : ", one place after the other"}
        </span>
        <input
          className="ui-input"
          inputMode="decimal"
          value={typed}
          placeholder={EXAMPLES[reads.words]}
          aria-invalid={wrong}
          onChange={(event) => setTyped(event.target.value)}
        />
        {wrong && (
          <span className="error-text" role="alert">
            A reading is a number from {reads.least} to {reads.most} {reads.unit}.
          </span>
        )}
      </label>
      {READ_BY[reads.words] && (
        <FromInstrument
          kind={READ_BY[reads.words] ?? ""}
          now={now}
          onValues={(values) => setTyped((one ? values.slice(-1) : values).flat().join(" "))}
        />
      )}
      {moist && (
        <>
          <label className="ui-field">
            <span className="text-label">Pin meter: wood at, °C</span>
            <input
              className="ui-input"
              inputMode="decimal"
              value={wood}
              placeholder="meter corrects"
              onChange={(event) => setWood(event.target.value)}
            />
          </label>
          <label className="ui-field">
            <span className="text-label">Points for this wood</span>
            <input
              className="ui-input"
              inputMode="decimal"
              value={points}
              placeholder="meter corrects"
              aria-invalid={amiss}
              onChange={(event) => setPoints(event.target.value)}
            />
          </label>
        </>
      )}
      <button type="submit" className="ui-tape" disabled={readings.length === 0 || wrong || amiss}>
        Read{readings.length > 0 && !wrong && !one ? `: ${mean(readings)} ${reads.unit}` : ""}
      </button>
    </form>
  )
}

const number = (text: string): number => Number(text.replace(",", ".").replace("−", "-").replace("%", ""))
const mean = (readings: number[]): string =>
  (readings.reduce((sum, reading) => sum + reading, 0) / readings.length).toFixed(1)

type TestProps = { row: BenchRow; answers: [string, string][]; onTouch: (touch: Touch) => void }

/** What a test showed: the answer is done. */
export function TestAnswers({ row, answers, onTouch }: TestProps) {
  return (
    <>
      {answers.map(([id, words]) => (
        <button
          key={id}
          type="button"
          className="ui-button"
          data-size="bench"
          onClick={() => onTouch({ kind: "done", pass: row.key, answer: id })}
        >
          {words.charAt(0).toUpperCase() + words.slice(1)}
        </button>
      ))}
    </>
  )
}

type Drops = NonNullable<BenchRow["drops"]>

const TREND: Record<string, string> = {
  filling: "falling: the wood fills",
  steady: "steady: it is full",
  missed_dry: "rising: a dry may have been missed",
}

/** "about 14 drops to one piece; 24, 19 before, falling: the wood fills" */
export function dropsSay({ expected, used, trend }: Drops): string {
  const before = used.length > 0 ? `${used.join(", ")} drops before${trend ? `, ${TREND[trend] ?? ""}` : ""}` : ""
  return [expected ? `about ${expected} drops to one piece` : "", before].filter(Boolean).join("; ")
}

/** A rubbed coat that is done, with the drops it took where they were counted. */
export function DropsDone({
  row,
  expected,
  onTouch,
}: {
  row: BenchRow
  expected: number
  onTouch: (touch: Touch) => void
}) {
  const [typed, setTyped] = useState("")
  const counted = typed.trim() === "" ? null : number(typed)
  const wrong = counted !== null && !(counted > 0)
  return (
    <form
      className="bench-readings"
      onSubmit={(event) => {
        event.preventDefault()
        if (!wrong) onTouch({ kind: "done", pass: row.key, ...(counted === null ? {} : { drops: counted }) })
      }}
    >
      <label className="ui-field grow">
        <span className="text-label">Drops that one piece took (may be left open)</span>
        <input
          className="ui-input"
          inputMode="decimal"
          value={typed}
          placeholder={String(expected)}
          aria-invalid={wrong}
          onChange={(event) => setTyped(event.target.value)}
        />
      </label>
      <button type="submit" className="ui-tape" data-space disabled={wrong}>
        Done
      </button>
    </form>
  )
}

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
