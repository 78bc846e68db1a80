import { Link } from "@inertiajs/react"
import { inkOn } from "@/colour/ink"
import type { Board, Cell } from "@/types"

/** The wanted colour and a cell's mean, side by side, and how far apart they are. */
export function Target({ board, cell }: { board: Board; cell: Cell }) {
  const { summary } = cell
  if (!board.target_hex || !board.target_lab)
    return (
      <p className="text-second">
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
      className="cell-mark surface-lit"
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
