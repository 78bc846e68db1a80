import { when } from "@/lib/time"
import type { Cell, Measure, Reading } from "@/types"
import { notSent } from "./boardAhead"

/** What was laid on a cell, wood first. */
export function Layers({ cell, onEdit }: { cell: Cell; onEdit: () => void }) {
  return (
    <>
      {cell.words.length === 0 ? (
        <p className="text-second">Bare. Add the layers that were laid on it, wood first.</p>
      ) : (
        <p className="text-second">{cell.words.join(" · ")}</p>
      )}
      <button type="button" className="ui-button mt-1" data-quiet onClick={onEdit}>
        {cell.words.length ? "Change its layers" : "Add its layers"}
      </button>
    </>
  )
}

function shown(reading: Reading, measure: Measure | undefined): string {
  if (reading.kind === "spectrum") return "400 to 700 nm, 31 values"
  if (Array.isArray(reading.value))
    return reading.value.map((value, index) => `${["L*", "a*", "b*"][index]} ${value.toFixed(1)}`).join("  ")
  return measure?.unit ? `${reading.value} ${measure.unit}` : String(reading.value)
}

const KINDS: Record<string, string> = { lab: "Colour", spectrum: "Spectrum", photo_lab: "Colour, from a photo" }
const named = (kind: string, measure: Measure | undefined) =>
  measure ? measure.name.charAt(0).toUpperCase() + measure.name.slice(1) : (KINDS[kind] ?? "Note")

/** How old the cell was when it was read. */
const aged = (at: number, made: string): string => {
  const days = Math.max(0, Math.floor(at / 1440 - new Date(`${made}T00:00:00Z`).getTime() / 86_400_000))
  return days === 1 ? "1 day old" : `${days} days old`
}

/** Readings of a cell, newest first. */
export function Readings({
  cell,
  zone,
  measures,
  made,
}: {
  cell: Cell
  zone: string
  measures: Measure[]
  made: string
}) {
  if (!cell.readings.length) return null
  const of = (kind: string) => measures.find((measure) => measure.kind === kind)
  return (
    <table className="sheet-table mt-3">
      <caption className="text-head text-left">Readings, newest first</caption>
      <tbody>
        {[...cell.readings].reverse().map((reading) => (
          <tr key={reading.id}>
            <td>{named(reading.kind, of(reading.kind))}</td>
            <td>{shown(reading, of(reading.kind))}</td>
            <td className="text-fine text-second">
              {notSent(reading) && <span className="ui-pending">not yet sent</span>} {when(reading.at, zone)},{" "}
              {aged(reading.at, made)}
              {reading.observer ? `, ${reading.observer}` : ""}
              {reading.early && <span className="caution-text">, before full cure</span>}
              {reading.light && reading.light !== "daylight" ? `, ${reading.light}` : ""}
            </td>
          </tr>
        ))}
      </tbody>
    </table>
  )
}

/** A ruined cell is kept as a result. */
export function Ruin({ cell, onRuin }: { cell: Cell; onRuin: (words: string) => void }) {
  if (cell.ruined)
    return (
      <button type="button" className="ui-button mt-3" data-quiet onClick={() => onRuin("")}>
        It is not ruined after all
      </button>
    )
  return (
    <form
      className="reading-one mt-3"
      onSubmit={(event) => {
        event.preventDefault()
        const words = String(new FormData(event.currentTarget).get("ruined")).trim()
        if (words) onRuin(words)
      }}
    >
      <label className="ui-field">
        <span className="text-label">Ruined by (kept as a result)</span>
        <input name="ruined" className="ui-input" placeholder="sanded through" />
      </label>
      <button type="submit" className="ui-button">
        Mark
      </button>
    </form>
  )
}
