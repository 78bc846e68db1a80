import { useState } from "react"
import { Field } from "@/components/Field"
import { recall, remember } from "@/lib/device"
import type { Cell, ErrorReason, Measure, Reading } from "@/types"
import { SeenBy } from "./SeenBy"

type Props = {
  cell: Cell
  measures: Measure[]
  error: ErrorReason | null
  onMeasure: (kind: "lab" | "gloss", observer: string, light: string) => Promise<boolean>
  onRead: (kind: Reading["kind"], value: Reading["value"], observer: string, light: string) => Promise<boolean>
}

const number = (typed: string): number | string => {
  const value = Number(typed.replace(",", "."))
  return typed.trim() !== "" && Number.isFinite(value) ? value : typed
}

/** One reading at a time, each its own; a later one never overwrites. */
export function ReadingForm({ cell, measures, error, onRead, onMeasure }: Props) {
  const [other, setOther] = useState("touch")
  const [typed, setTyped] = useState<Record<string, string>>({})
  const [observer, setObserver] = useState(() => recall("rhexon.observer") ?? "")
  const [light, setLight] = useState("daylight")
  const [kept, setKept] = useState("")
  const set = (name: string, value: string) => setTyped((before) => ({ ...before, [name]: value }))
  const read = async (kind: Reading["kind"], value: Reading["value"], names: string[], words: string) => {
    remember("rhexon.observer", observer)
    if (!(await onRead(kind, value, observer, light))) return setKept("")
    setTyped((before) => ({ ...before, ...Object.fromEntries(names.map((name) => [name, ""])) }))
    setKept(`${words} kept on cell ${cell.label}.`)
  }
  const errorAt = (kind: string) => (error?.where === kind ? error.sentence : undefined)
  const lab = ["L*", "a*", "b*"].map((name) => number(typed[name] ?? ""))
  const entry = (kind: string, label: string) => (
    <Field label={label} error={errorAt(kind)}>
      {(id, invalid) => (
        <input
          id={id}
          className="ui-input"
          inputMode="decimal"
          value={typed[kind] ?? ""}
          onChange={(event) => set(kind, event.target.value)}
          aria-invalid={invalid}
        />
      )}
    </Field>
  )
  const touch = async (kind: "lab" | "gloss", words: string) =>
    setKept(
      (await onMeasure(kind, observer, light)) ? `${words} of cell ${cell.label} kept, the mean of three touches.` : "",
    )
  return (
    <section aria-label={`Readings of cell ${cell.label}`} className="cell-readings">
      <div className="reading-pair">
        <button type="button" className="ui-button" data-size="bench" onClick={() => void touch("lab", "Colour")}>
          Read the colour
        </button>
        <button type="button" className="ui-button" data-size="bench" onClick={() => void touch("gloss", "Gloss")}>
          Read the gloss
        </button>
      </div>
      <form
        className="reading-row"
        onSubmit={(event) => {
          event.preventDefault()
          void read("lab", lab as [number, number, number], ["L*", "a*", "b*"], "Colour")
        }}
      >
        {["L*", "a*", "b*"].map((name) => (
          <Field key={name} label={name}>
            {(id) => (
              <input
                id={id}
                className="ui-input"
                inputMode="decimal"
                value={typed[name] ?? ""}
                onChange={(event) => set(name, event.target.value)}
                aria-invalid={Boolean(errorAt("lab"))}
              />
            )}
          </Field>
        ))}
        <button type="submit" className="ui-button">
          Keep colour
        </button>
      </form>
      {errorAt("lab") && (
        <p className="error-text" role="alert">
          {errorAt("lab")}
        </p>
      )}
      <div className="reading-pair">
        {(
          [
            ["gloss", "Gloss 60°, GU"],
            ["blotch", "Blotch, 0 even to 5"],
          ] as const
        ).map(([kind, label]) => (
          <form
            key={kind}
            className="reading-one"
            onSubmit={(event) => {
              event.preventDefault()
              void read(kind, number(typed[kind] ?? "") as number, [kind], label.split(",")[0] ?? kind)
            }}
          >
            {entry(kind, label)}
            <button type="submit" className="ui-button">
              Keep
            </button>
          </form>
        ))}
      </div>
      <form
        className="reading-row grid-cols-[1.4fr_1fr_auto]"
        onSubmit={(event) => {
          event.preventDefault()
          const measure = measures.find((candidate) => candidate.kind === other)
          void read(other, number(typed[other] ?? "") as number, [other], measure?.name ?? other)
        }}
      >
        <Field label="Another measure">
          {(id) => (
            <select id={id} className="ui-input" value={other} onChange={(event) => setOther(event.target.value)}>
              {measures
                .filter((measure) => !["gloss", "blotch", "liking"].includes(measure.kind))
                .map((measure) => (
                  <option key={measure.kind} value={measure.kind}>
                    {measure.name}
                  </option>
                ))}
            </select>
          )}
        </Field>
        {entry(other, measures.find((measure) => measure.kind === other)?.accepted ?? "Value")}
        <button type="submit" className="ui-button">
          Keep
        </button>
      </form>
      <fieldset>
        <legend className="text-label">Liking</legend>
        <div className="flex gap-1">
          {[1, 2, 3, 4, 5].map((value) => (
            <button
              key={value}
              type="button"
              className="ui-button flex-1"
              aria-label={`Liking ${value} of 5`}
              onClick={() => read("liking", value, [], `Liking ${value}`)}
            >
              {value}
            </button>
          ))}
        </div>
      </fieldset>
      <form
        className="reading-one"
        onSubmit={(event) => {
          event.preventDefault()
          void read("note", typed.note ?? "", ["note"], "Note")
        }}
      >
        <Field label="Note" error={errorAt("note")}>
          {(id, invalid) => (
            <input
              id={id}
              className="ui-input"
              value={typed.note ?? ""}
              onChange={(event) => set("note", event.target.value)}
              aria-invalid={invalid}
            />
          )}
        </Field>
        <button type="submit" className="ui-button">
          Keep
        </button>
      </form>
      <div className="reading-pair">
        <Field label="Who looked">
          {(id) => (
            <input
              id={id}
              className="ui-input"
              value={observer}
              onChange={(event) => setObserver(event.target.value)}
            />
          )}
        </Field>
        <SeenBy value={light} onChange={setLight} />
      </div>
      <p role="status" className="text-second text-fine">
        {kept}
      </p>
    </section>
  )
}
