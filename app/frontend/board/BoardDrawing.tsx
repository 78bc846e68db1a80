import { type KeyboardEvent, useRef } from "react"
import { lit } from "@/colour/sheen"
import { useLight } from "@/colour/useLight"
import { drawing } from "@/components/Broken"
import { woodBitmap } from "@/drawing/woodBitmap"
import { useWidth } from "@/lib/size"
import type { Board, Cell } from "@/types"
import { placed, ScaleBar, StepStrip, Tapes } from "./BoardParts"

type Props = { board: Board; selected: number; onSelect: (id: number) => void }

/**
 * The board to scale, its cells between tapes; each in its mean reading, with the target as a window in it. Left and
 * right walk the cells.
 */
export const BoardDrawing = drawing("The board", Drawn)

function Drawn({ board, selected, onSelect }: Props) {
  const [light] = useLight()
  const holder = useRef<HTMLDivElement>(null)
  const width = useWidth(holder, 720)
  const scale = Math.min(width / board.width_mm, 400 / board.height_mm)
  const wide = Math.round(board.width_mm * scale)
  const high = Math.round(board.height_mm * scale)
  const walk = (event: KeyboardEvent) => {
    const by = { ArrowRight: 1, ArrowLeft: -1 }[event.key]
    if (!by) return
    event.preventDefault()
    event.stopPropagation()
    const at = board.cells.findIndex((cell) => cell.id === selected)
    const next = board.cells[Math.min(Math.max(at + by, 0), board.cells.length - 1)]
    if (!next) return
    onSelect(next.id)
    holder.current?.querySelector<HTMLElement>(`[data-cell="${next.id}"]`)?.focus()
  }
  return (
    <div ref={holder}>
      <div
        className="board-frame"
        data-dense={board.tapes.length > 0 || undefined}
        style={{
          width: wide,
          height: high,
          backgroundImage: `url(${woodBitmap(board.wood, board.grain, wide, high)})`,
        }}
        role="radiogroup"
        aria-label="Cells"
        onKeyDown={walk}
      >
        <Tapes tapes={board.tapes} scale={scale} wide={wide} high={high} />
        <StepStrip strips={board.strips} scale={scale} light={light} />
        {board.cells.map((cell, index) => {
          const place = board.places[index]
          if (!place) return null
          return (
            <CellButton
              key={cell.id}
              cell={cell}
              light={light}
              target={board.target_hex}
              best={board.best === cell.id}
              on={cell.id === selected}
              style={placed(place, scale)}
              onSelect={onSelect}
            />
          )
        })}
      </div>
      <div className="mt-1 flex items-center justify-between text-fine text-second" style={{ width: wide }}>
        <span>
          {board.target_hex ? "Round window: the wanted colour. " : "No wanted colour is stated. "}
          {board.cells.some((cell) => cell.predicted) ? "Dashed: predicted." : ""}
        </span>
        <ScaleBar scale={scale} />
      </div>
    </div>
  )
}

type CellProps = {
  cell: Cell
  light: string
  target: string | null
  best: boolean
  on: boolean
  style: React.CSSProperties
  onSelect: (id: number) => void
}

function CellButton({ cell, light, target, best, on, style, onSelect }: CellProps) {
  const { summary } = cell
  const read = cell.read_hexes?.[light]
  const photo = cell.photo_hexes?.[light]
  const predicted = cell.predicted?.hexes[light]
  return (
    <button
      type="button"
      role="radio"
      aria-checked={on}
      tabIndex={on ? 0 : -1}
      data-cell={cell.id}
      data-state={best ? "best" : cell.ruined ? "ruined" : "rest"}
      className="board-cell"
      data-shows={read ? "read" : photo ? "photo" : predicted ? "predicted" : "nothing"}
      style={{ ...style, background: lit(read ?? photo ?? predicted, summary.gloss ?? cell.predicted?.gloss) }}
      onClick={() => onSelect(cell.id)}
      aria-label={spoken(cell, best)}
    >
      <span className="cell-label">{cell.label}</span>
      {read && predicted && (
        <span className="cell-predicted" style={{ background: predicted }} title="predicted">
          <span className="sr-only">predicted</span>
        </span>
      )}
      {(read || predicted) && target && !cell.ruined && cell.role !== "bare" && (
        <span className="cell-target" style={{ background: target }} />
      )}
      {cell.ruined && (
        <svg className="cell-ruin" viewBox="0 0 10 10" preserveAspectRatio="none" aria-hidden="true">
          <path d="M0 0 10 10M10 0 0 10" stroke="var(--stop)" strokeWidth="0.25" />
        </svg>
      )}
      <span className="cell-foot">
        <b>
          {cell.ruined
            ? "ruined"
            : summary.delta_e !== null
              ? `ΔE ${summary.delta_e.toFixed(1)}`
              : summary.liking !== null
                ? `liked ${summary.liking}`
                : cell.role === "bare"
                  ? "bare"
                  : "no reading"}
        </b>
        <span>
          {summary.gloss !== null && !cell.ruined
            ? `${Math.round(summary.gloss)} GU`
            : cell.varied.length && !cell.ruined
              ? cell.varied.join(", ")
              : !read && photo
                ? "from a photo"
                : !read && predicted
                  ? "predicted"
                  : ""}
        </span>
      </span>
    </button>
  )
}

function spoken(cell: Cell, best: boolean): string {
  const { summary } = cell
  const parts = [
    `Cell ${cell.label}`,
    cell.ruined ? `ruined: ${cell.ruined}` : "",
    summary.delta_e !== null ? `delta E ${summary.delta_e}` : "",
    summary.gloss !== null ? `${Math.round(summary.gloss)} gloss units` : "",
    summary.liking !== null ? `liked ${summary.liking} of 5` : "",
    best ? "best so far" : "",
    `${summary.count} readings`,
  ]
  return parts.filter(Boolean).join(", ")
}
