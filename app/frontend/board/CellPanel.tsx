import { Link } from "@inertiajs/react"
import { useState } from "react"
import { KeepPanel } from "@/book/KeepSchedule"
import { useShop } from "@/lib/shop"
import { Photos } from "@/photo/Photos"
import type { Cell, ErrorReason } from "@/types"
import { Layers, Readings, Ruin } from "./CellRecord"
import { ReadingForm } from "./ReadingForm"
import { Target } from "./Target"
import type { useBoard } from "./useBoard"

type Props = {
  cell: Cell
  state: ReturnType<typeof useBoard>
  error: ErrorReason | null
  onEdit: () => void
  onPromote: () => void
}

/** One cell: how near it is, what lies on it, its readings and photos, and the ways to add to them. */
export function CellPanel({ cell, state, error, onEdit, onPromote }: Props) {
  const { zone } = useShop()
  const { board, measures, pieces } = state
  const [keeping, setKeeping] = useState(false)
  return (
    <div className="min-w-0">
      <Target board={board} cell={cell} />
      <section className="ruled mt-4 pt-2" aria-label={`Cell ${cell.label}`}>
        <h2 className="panel-title">
          Cell {cell.label}
          {board.best === cell.id ? ", best so far" : ""}
        </h2>
        {cell.ruined && <p className="text-(--stop-text)">Ruined: {cell.ruined}. It is kept, failures are results.</p>}
        <Layers cell={cell} onEdit={onEdit} />
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
          className="ui-tape mt-3 w-full"
          disabled={cell.layers.length === 0 || pieces.length === 0}
          onClick={onPromote}
        >
          Make cell {cell.label} the schedule <span className="text-fine">{cell.layers.length} steps</span>
        </button>
        {cell.layers.length > 0 && (
          <button type="button" className="ui-button mt-2 w-full" onClick={() => setKeeping(true)}>
            Keep it in the recipe book
          </button>
        )}
        {keeping && <KeepPanel what={{ cell: cell.id }} recipes={[]} onClose={() => setKeeping(false)} />}
      </section>
      <ReadingForm
        key={cell.id}
        cell={cell}
        measures={measures}
        error={error}
        onMeasure={(...what) => state.measure(cell.id, ...what)}
        onRead={(...reading) => state.read(cell.id, ...reading)}
      />
      <Photos
        photos={cell.photos}
        of={{ cell_id: cell.id }}
        onAdded={(photo) => state.photo(cell.id, (before) => [...before, photo])}
        onGone={(id) => state.photo(cell.id, (before) => before.filter((photo) => photo.id !== id))}
        onColour={(photo, marks) => state.photoColour(cell.id, photo, marks)}
      />
      <Readings cell={cell} zone={zone} measures={measures} made={board.made_on} />
      <Ruin cell={cell} onRuin={(words) => state.ruin(cell.id, words)} />
    </div>
  )
}
