import { useState } from "react"
import { inkOn } from "@/colour/ink"
import { LightChoice } from "@/colour/LightChoice"
import { lit } from "@/colour/sheen"
import { useLight } from "@/colour/useLight"
import { Panel } from "@/components/Panel"
import type { Board, Cell } from "@/types"

type Props = {
  open: boolean
  onOpenChange: (open: boolean) => void
  board: Board
  first: number
  lights: { id: string; name: string; model: boolean }[]
  apart: Record<string, number>
}

const MOST = 4

/**
 * Two to four cells as large fields without a gap, the lamp mirrored in each as its gloss lets it; the wanted colour
 * beside them.
 */
export function SideBySide({ open, onOpenChange, board, first, lights, apart }: Props) {
  const [light, setLight] = useLight()
  const other =
    board.best && board.best !== first ? board.best : board.cells.find((cell) => cell.id !== first && !cell.ruined)?.id
  const [chosen, setChosen] = useState<number[]>([first, ...(other ? [other] : [])])
  const [sheen, setSheen] = useState(true)
  const cells = chosen
    .map((id) => board.cells.find((cell) => cell.id === id))
    .filter((cell): cell is Cell => cell !== undefined)
  const toggle = (id: number) =>
    setChosen((before) => (before.includes(id) ? before.filter((each) => each !== id) : [...before, id].slice(-MOST)))
  return (
    <Panel title="Side by side" wide open={open} onOpenChange={onOpenChange}>
      <fieldset className="side-cells">
        <legend className="sr-only">Cells to show, at most four</legend>
        {board.cells
          .filter((cell) => !cell.ruined)
          .map((cell) => (
            <label key={cell.id} className="side-cell" data-state={chosen.includes(cell.id) ? "on" : "off"}>
              <input
                type="checkbox"
                className="sr-only"
                checked={chosen.includes(cell.id)}
                onChange={() => toggle(cell.id)}
              />
              {cell.label}
            </label>
          ))}
      </fieldset>
      <div className="side-fields">
        {cells.map((cell) => (
          <Side key={cell.id} cell={cell} light={light} sheen={sheen} away={away(cells[0], cell, apart)} />
        ))}
        {board.target_hex && board.target_lab && (
          <figure style={{ background: board.target_hex, color: inkOn(board.target_lab[0]) }}>
            <figcaption>
              <b>Wanted</b>
              <span>L* {board.target_lab.map((value) => value.toFixed(1)).join("  ")}</span>
            </figcaption>
          </figure>
        )}
      </div>
      <div className="mt-2 flex flex-wrap items-center justify-between gap-3">
        <LightChoice lights={lights} light={light} onLight={setLight} />
        <label className="ui-check">
          <input type="checkbox" checked={sheen} onChange={(event) => setSheen(event.target.checked)} />
          the lamp mirrored in the film
        </label>
      </div>
      {cells.length < 2 && <p className="text-second">Choose a second cell.</p>}
    </Panel>
  )
}

/** How far a cell is from the first that is shown. */
function away(first: Cell | undefined, cell: Cell, apart: Record<string, number>): string {
  if (!first || first.id === cell.id) return ""
  const delta = apart[[first.id, cell.id].sort((one, other) => one - other).join(" ")]
  return delta === undefined ? "" : `ΔE ${delta.toFixed(1)} to cell ${first.label}`
}

function Side({ cell, light, sheen, away }: { cell: Cell; light: string; sheen: boolean; away: string }) {
  const read = cell.read_hexes?.[light]
  const hex = read ?? cell.photo_hexes?.[light] ?? cell.predicted?.hexes[light]
  const lab = cell.summary.lab ?? cell.summary.photo_lab ?? cell.predicted?.lab
  const gloss = cell.summary.gloss ?? cell.predicted?.gloss ?? null
  return (
    <figure
      style={{ background: sheen ? lit(hex, gloss) : hex, color: inkOn(lab?.[0] ?? 100) }}
      data-shows={read ? "read" : "predicted"}
    >
      <figcaption>
        <b>Cell {cell.label}</b>
        <span>{read ? "read" : cell.photo_hexes ? "from a photo" : "predicted"}</span>
        {lab && <span>L* {lab.map((value) => value.toFixed(1)).join("  ")}</span>}
        {gloss !== null && (
          <span>
            {Math.round(gloss)} GU{cell.summary.gloss === null ? " by its sheet" : ""}
          </span>
        )}
        {away && <b className="side-away">{away}</b>}
        {cell.summary.delta_e !== null && <span>ΔE {cell.summary.delta_e.toFixed(1)} to the wanted</span>}
        {cell.varied_words.map((words) => (
          <span key={words}>{words}</span>
        ))}
      </figcaption>
    </figure>
  )
}
