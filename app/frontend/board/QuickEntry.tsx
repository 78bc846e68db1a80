import { type ClipboardEvent, type KeyboardEvent, useRef, useState } from "react"
import { SelectField, TextField } from "@/components/Field"
import { Panel } from "@/components/Panel"
import { recall, remember } from "@/lib/device"
import type { Board, ErrorReason, Measure } from "@/types"
import { SeenBy } from "./SeenBy"
import type { QuickReading } from "./useBoard"

type Props = {
  open: boolean
  onOpenChange: (open: boolean) => void
  board: Board
  measures: Measure[]
  error: ErrorReason | null
  onKeep: (readings: QuickReading[], observer: string, light: string) => Promise<boolean>
}

const LAB = ["L*", "a*", "b*"]
const number = (typed: string) => {
  const value = Number(typed.replace(",", ".").trim())
  return Number.isFinite(value) ? value : null
}

/**
 * Readings of the whole board as a table: Enter and the arrows go down and up, Tab goes on; a copied table can be
 * pasted. All are kept, or none.
 */
export function QuickEntry({ open, onOpenChange, board, measures, error, onKeep }: Props) {
  const [kinds, setKinds] = useState(["lab", "gloss", "blotch"])
  const [typed, setTyped] = useState<Record<string, string>>({})
  const [observer, setObserver] = useState(() => recall("rhexon.observer") ?? "")
  const [light, setLight] = useState("daylight")
  const [wrong, setWrong] = useState("")
  const table = useRef<HTMLTableElement>(null)
  const cells = board.cells.filter((cell) => !cell.ruined)
  const columns = kinds.flatMap((kind) => (kind === "lab" ? LAB.map((axis) => `lab ${axis}`) : [kind]))
  const name = (kind: string) =>
    kind === "lab" ? "Colour" : (measures.find((measure) => measure.kind === kind)?.name ?? kind)
  const unit = (kind: string) => measures.find((measure) => measure.kind === kind)?.unit ?? ""
  const key = (row: number, column: number) => `${cells[row]?.id} ${columns[column]}`
  const focus = (row: number, column: number) =>
    table.current?.querySelector<HTMLInputElement>(`[data-at="${row} ${column}"]`)?.focus()
  const go = (event: KeyboardEvent, row: number, column: number) => {
    const by = { Enter: 1, ArrowDown: 1, ArrowUp: -1 }[event.key]
    if (by === undefined) return
    event.preventDefault()
    if (event.key === "Enter" && row === cells.length - 1) focus(0, column + 1)
    else focus(row + by, column)
  }
  const paste = (event: ClipboardEvent, row: number, column: number) => {
    const rows = event.clipboardData
      .getData("text")
      .trim()
      .split(/\r?\n/)
      .map((line) => line.split("\t"))
    if (rows.length === 1 && rows[0]?.length === 1) return
    event.preventDefault()
    const pasted = rows.flatMap((line, down) =>
      line
        .map((value, right): [string, string] => [key(row + down, column + right), value.trim()])
        .filter(() => cells[row + down] !== undefined),
    )
    setTyped((before) => ({ ...before, ...Object.fromEntries(pasted) }))
  }
  const keep = async () => {
    const readings: QuickReading[] = []
    for (const [row, cell] of cells.entries())
      for (const kind of kinds) {
        const values = (kind === "lab" ? LAB.map((axis) => `lab ${axis}`) : [kind]).map((column) =>
          (typed[key(row, columns.indexOf(column))] ?? "").trim(),
        )
        if (values.every((value) => value === "")) continue
        const numbers = values.map(number)
        if (numbers.some((value, index) => value === null || values[index] === "")) {
          setWrong(`${cell.id}/${kind}`)
          focus(row, columns.indexOf(kind === "lab" ? "lab L*" : kind))
          return
        }
        readings.push({
          cell: cell.id,
          kind,
          value: kind === "lab" ? (numbers as [number, number, number]) : (numbers[0] as number),
        })
      }
    setWrong("")
    remember("rhexon.observer", observer)
    if (await onKeep(readings, observer, light)) {
      setTyped({})
      onOpenChange(false)
    }
  }
  const bad = wrong || error?.where || ""
  const badCell = cells.find((cell) => bad.startsWith(`${cell.id}/`))
  return (
    <Panel
      title="Readings of the whole board"
      wide
      open={open}
      onOpenChange={onOpenChange}
      leave="Cancel"
      action={
        <button type="button" className="ui-tape" onClick={keep}>
          Keep them all
        </button>
      }
    >
      <p className="text-second text-fine">
        Enter goes down, Tab goes on; a table can be pasted. Empty fields are left out.
      </p>
      <div className="quick-scroll">
        <table ref={table} className="sheet-table quick-entry">
          <caption className="sr-only">Readings by cell and measure</caption>
          <thead>
            <tr>
              <th scope="col">Cell</th>
              {columns.map((column) => (
                <th key={column} scope="col">
                  {column.startsWith("lab ") ? column.slice(4) : name(column)}
                  {unit(column) ? `, ${unit(column)}` : ""}
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {cells.map((cell, row) => (
              <tr key={cell.id}>
                <th scope="row">{cell.label}</th>
                {columns.map((column, index) => {
                  const kind = column.split(" ")[0] ?? column
                  return (
                    <td key={column}>
                      <input
                        className="ui-input"
                        inputMode="decimal"
                        data-at={`${row} ${index}`}
                        aria-label={`Cell ${cell.label}, ${column.startsWith("lab ") ? column.slice(4) : name(column)}`}
                        aria-invalid={bad === `${cell.id}/${kind}`}
                        value={typed[key(row, index)] ?? ""}
                        onChange={(event) =>
                          setTyped((before) => ({ ...before, [key(row, index)]: event.target.value }))
                        }
                        onKeyDown={(event) => go(event, row, index)}
                        onPaste={(event) => paste(event, row, index)}
                      />
                    </td>
                  )
                })}
              </tr>
            ))}
          </tbody>
        </table>
      </div>
      {(wrong || error) && (
        <p className="error-text mt-2" role="alert">
          {wrong
            ? `Cell ${badCell?.label}: ${name(wrong.split("/")[1] ?? "").toLowerCase()} wants numbers${wrong.endsWith("/lab") ? ", all three of L*, a* and b*" : ""}.`
            : `${error?.sentence}${error?.accepted ? `: ${error.accepted}` : ""}`}
        </p>
      )}
      <div className="quick-foot">
        <SelectField
          label="One more measure"
          value=""
          onChange={(kind) => kind && setKinds([...kinds, kind])}
          options={[
            ["", "choose"],
            ...measures
              .filter((measure) => !kinds.includes(measure.kind))
              .map((measure): [string, string] => [measure.kind, measure.name]),
          ]}
        />
        <TextField label="Who looked" value={observer} onChange={setObserver} />
        <SeenBy value={light} onChange={setLight} />
      </div>
    </Panel>
  )
}
