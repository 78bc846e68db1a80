import { Head, Link, usePage } from "@inertiajs/react"
import { useState } from "react"
import { BlindPairs } from "@/board/BlindPairs"
import { BoardDrawing } from "@/board/BoardDrawing"
import { CellsCompared } from "@/board/CellsCompared"
import { Effects } from "@/board/Effects"
import { LayersEditor } from "@/board/LayersEditor"
import { Promote } from "@/board/Promote"
import { ReadingForm } from "@/board/ReadingForm"
import { type BoardProps, type Measure, useBoard } from "@/board/useBoard"
import { inkOn } from "@/colour/ink"
import { LightChoice } from "@/colour/LightChoice"
import { nextLight, useLight } from "@/colour/useLight"
import { Shell } from "@/components/Shell"
import { Patterns } from "@/drawing/Patterns"
import { useKeys } from "@/lib/keys"
import { when } from "@/lib/time"
import type { Board, Cell, Reading } from "@/types"

const KEYS: [string, string][] = [
  ["← →", "Walk the cells"],
  ["M", "Measure: go to the first reading field"],
  ["P", "Make the cell the schedule"],
  ["L", "Next light"],
  ["B", "Blind pairs"],
]

/** A sample board: cells to scale, their readings, the best, and the way from a cell to a schedule. */
export default function BoardPage(props: BoardProps) {
  const zone = usePage<{ shop: { zone: string } }>().props.shop.zone
  const { board, shelf, pieces, lights, measures, trial, pairs, said, read, layers, ruin, pick, base } = useBoard(props)
  const [blind, setBlind] = useState(false)
  const [light, setLight] = useLight()
  const [selected, setSelected] = useState(board.best ?? board.cells[0]?.id ?? 0)
  const [promoting, setPromoting] = useState(false)
  const [editing, setEditing] = useState(false)
  const cell = board.cells.find((candidate) => candidate.id === selected)
  const walk = (by: number) => {
    const at = board.cells.findIndex((candidate) => candidate.id === selected)
    setSelected(board.cells[Math.min(Math.max(at + by, 0), board.cells.length - 1)]?.id ?? selected)
  }
  useKeys({
    ArrowLeft: () => walk(-1),
    ArrowRight: () => walk(1),
    m: () => document.querySelector<HTMLInputElement>(".readings input")?.focus(),
    p: () => cell && cell.layers.length > 0 && setPromoting(true),
    l: () => setLight(nextLight(lights, light)),
    b: () => pairs && setBlind(true),
  })
  const mine = said && said.cell === selected ? said : null
  return (
    <Shell keys={KEYS}>
      <Head title={board.name} />
      <Patterns />
      <header className="page-head">
        <div>
          <h1 className="title">{board.name}</h1>
          <p className="sub">
            {board.piece ? (
              <>
                for{" "}
                <Link href={`/pieces/${board.piece.id}/schedule`} className="underline underline-offset-2">
                  {board.piece.name}
                </Link>
                {board.look ? ` (${board.look})` : ""},{" "}
              </>
            ) : null}
            {board.wood} {board.width_mm} × {board.height_mm} mm{board.timber_lot ? `, ${board.timber_lot}` : ""}, made {made(board)}
            {trial && trial.boards.length > 1 && (
              <>
                {" · "}
                {trial.boards
                  .filter((other) => other.id !== board.id)
                  .map((other) => (
                    <Link key={other.id} href={`/boards/${other.id}`} className="underline underline-offset-2">
                      {other.name.replace(`${trial.name}, `, "")}
                    </Link>
                  ))}
              </>
            )}
          </p>
        </div>
      </header>
      <div className="board-grid">
        <div className="min-w-0">
          <BoardDrawing board={board} selected={selected} onSelect={setSelected} />
          <div className="flex flex-wrap items-center justify-between gap-2">
            <LightChoice lights={lights} />
            {pairs && (
              <button type="button" className="button" onClick={() => setBlind(true)}>
                Blind pairs{pairs.picks ? `, ${pairs.picks} so far` : ""}
              </button>
            )}
          </div>
          <CellsCompared board={board} selected={selected} onSelect={setSelected} />
          {trial && <Effects trial={trial} />}
        </div>
        {cell && (
          <div className="min-w-0">
            <Target board={board} cell={cell} />
            <section className="rule mt-4 pt-2" aria-label={`Cell ${cell.label}`}>
              <h2 className="panel-title">
                Cell {cell.label}
                {board.best === cell.id ? ", best so far" : ""}
              </h2>
              {cell.ruined && <p style={{ color: "var(--stop-text)" }}>Ruined: {cell.ruined}. It is kept, failures are results.</p>}
              <Layers cell={cell} onEdit={() => setEditing(true)} />
              {cell.promoted_to.map((piece) => (
                <p key={piece.id} className="mt-1">
                  Is the schedule of{" "}
                  <Link href={`/pieces/${piece.id}/schedule`} className="underline underline-offset-2">
                    {piece.name}
                  </Link>
                  .
                </p>
              ))}
              <button
                type="button"
                className="tape mt-3 w-full"
                disabled={cell.layers.length === 0 || pieces.length === 0}
                onClick={() => setPromoting(true)}
              >
                Make cell {cell.label} the schedule <span className="small">{cell.layers.length} steps</span>
              </button>
            </section>
            <ReadingForm key={cell.id} cell={cell} measures={measures} said={mine} onRead={(...reading) => read(cell.id, ...reading)} />
            <Readings cell={cell} zone={zone} measures={measures} />
            <Ruin cell={cell} onRuin={(words) => ruin(cell.id, words)} />
          </div>
        )}
      </div>
      {pairs && <BlindPairs open={blind} onOpenChange={setBlind} board={board} pairs={pairs} onPick={pick} />}
      {cell && (
        <Promote
          key={`p${cell.id}`}
          open={promoting}
          onOpenChange={setPromoting}
          cell={cell}
          base={base}
          pieces={pieces}
          shelf={shelf}
          first={board.piece?.id}
        />
      )}
      {cell && (
        <LayersEditor
          open={editing}
          onOpenChange={setEditing}
          cell={cell}
          shelf={shelf}
          said={mine}
          onKeep={(steps) => layers(cell.id, steps)}
        />
      )}
    </Shell>
  )
}

const made = (board: Board) =>
  new Intl.DateTimeFormat("en-GB", { weekday: "short", day: "numeric", month: "short", timeZone: "UTC" })
    .format(new Date(`${board.made_on}T12:00:00Z`))
    .replace(",", "")

function Target({ board, cell }: { board: Board; cell: Cell }) {
  const { summary } = cell
  if (!board.target_hex || !board.target_lab)
    return (
      <p className="sub">
        {board.piece ? (
          <Link href={`/pieces/${board.piece.id}/edit`} className="underline underline-offset-2">
            State the wanted colour of {board.piece.name}
          </Link>
        ) : (
          "State the wanted colour on a piece"
        )}
        , and each cell shows how far it is from it.
      </p>
    )
  return (
    <section
      className="target lit"
      aria-label="Wanted colour and this cell"
      style={{ background: `linear-gradient(90deg, ${board.target_hex} 0 50%, ${summary.hex ?? "var(--lit)"} 50%)` }}
    >
      <LabColumn title="Wanted" lab={board.target_lab} />
      <b className="target-delta">{summary.delta_e === null ? "no reading" : `ΔE ${summary.delta_e.toFixed(1)}`}</b>
      <LabColumn title={`Cell ${cell.label}, mean`} lab={summary.lab} right />
    </section>
  )
}

function LabColumn({ title, lab, right }: { title: string; lab: [number, number, number] | null; right?: boolean }) {
  return (
    <div className={right ? "text-right" : ""} style={{ color: lab ? inkOn(lab[0]) : "var(--ink)" }}>
      <p className="font-semibold">{title}</p>
      {lab && (
        <p className="mt-2">
          L* {lab[0].toFixed(1)}
          <br />
          a* {lab[1].toFixed(1)}
          <br />
          b* {lab[2].toFixed(1)}
        </p>
      )}
    </div>
  )
}

function Layers({ cell, onEdit }: { cell: Cell; onEdit: () => void }) {
  return (
    <>
      {cell.words.length === 0 ? (
        <p className="sub">Bare. Add the layers that were laid on it, wood first.</p>
      ) : (
        <p className="sub">{cell.words.join(" · ")}</p>
      )}
      <button type="button" className="button mt-1" data-quiet onClick={onEdit}>
        {cell.words.length ? "Change its layers" : "Add its layers"}
      </button>
    </>
  )
}

function shown(reading: Reading, measure: Measure | undefined): string {
  if (Array.isArray(reading.value))
    return reading.value.map((value, index) => `${["L*", "a*", "b*"][index]} ${value.toFixed(1)}`).join("  ")
  return measure?.unit ? `${reading.value} ${measure.unit}` : String(reading.value)
}

const named = (kind: string, measure: Measure | undefined) =>
  measure ? measure.name.charAt(0).toUpperCase() + measure.name.slice(1) : kind === "lab" ? "Colour" : "Note"

function Readings({ cell, zone, measures }: { cell: Cell; zone: string; measures: Measure[] }) {
  if (!cell.readings.length) return null
  const of = (kind: string) => measures.find((measure) => measure.kind === kind)
  return (
    <table className="sheet-table mt-3">
      <caption className="head text-left">Readings, newest first</caption>
      <tbody>
        {[...cell.readings].reverse().map((reading) => (
          <tr key={reading.id}>
            <td>{named(reading.kind, of(reading.kind))}</td>
            <td>{shown(reading, of(reading.kind))}</td>
            <td className="small sub">
              {when(reading.at, zone)}
              {reading.observer ? `, ${reading.observer}` : ""}
            </td>
          </tr>
        ))}
      </tbody>
    </table>
  )
}

function Ruin({ cell, onRuin }: { cell: Cell; onRuin: (words: string) => void }) {
  if (cell.ruined)
    return (
      <button type="button" className="button mt-3" data-quiet onClick={() => onRuin("")}>
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
      <label className="field">
        <span className="label">Ruined by (kept as a result)</span>
        <input name="ruined" className="input" placeholder="sanded through" />
      </label>
      <button type="submit" className="button">
        Mark
      </button>
    </form>
  )
}
