import { Head, Link } from "@inertiajs/react"
import { PageHead } from "@/components/PageHead"
import { Shell } from "@/components/Shell"
import { woodBitmap } from "@/drawing/woodBitmap"
import type { Board, BoardsPage } from "@/types"

/** All sample boards, newest first, each drawn in its readings. */

export default function BoardsIndex({ boards, look_again }: BoardsPage) {
  return (
    <Shell>
      <Head title="Sample boards" />
      <PageHead title="Sample boards" facts="Try looks before the piece; the best cell becomes its schedule.">
        <div className="ml-auto flex gap-2">
          <Link href="/boards/colour" className="ui-button">
            Colour desk
          </Link>
          {boards.length > 0 && (
            <Link href="/trials/new" className="ui-button">
              Design a trial
            </Link>
          )}
        </div>
      </PageHead>
      {boards.length === 0 && (
        <section className="ui-empty surface-lit">
          <h2 className="panel-title">No board yet</h2>
          <p className="text-second">
            Lay out a board of the same stock as the piece, with a row of cells between tapes. Each cell gets its layers
            and its readings.
          </p>
          <Link href="/trials/new" className="ui-tape mt-4">
            Design the first trial
          </Link>
          <Link href="/boards/new" className="ui-button mt-4 ml-2">
            Lay out the first board
          </Link>
        </section>
      )}
      {look_again.length > 0 && (
        <p className="mb-3">
          <b>Look again:</b>{" "}
          {look_again.map((look, index) => (
            <span key={look.id}>
              {index > 0 && ", "}
              <Link href={`/boards/${look.id}`} className="underline underline-offset-2">
                {look.name}
              </Link>{" "}
              ({look.days} days are over)
            </span>
          ))}
        </p>
      )}
      <ul className="piece-list">
        {boards.map((board) => (
          <li key={board.id}>
            <Link href={`/boards/${board.id}`} className="piece-card">
              <Thumb board={board} />
              <span className="text-head">{board.name}</span>
              <span className="text-second">
                {board.wood}, {board.width_mm} × {board.height_mm} mm{board.piece ? `, for ${board.piece.name}` : ""}
              </span>
              <span className="piece-ready">{best(board)}</span>
            </Link>
          </li>
        ))}
      </ul>
    </Shell>
  )
}

function best(board: Board): string {
  const cell = board.cells.find((candidate) => candidate.id === board.best)
  if (!cell) return `${board.cells.length} cells, undecided`
  return `Best: cell ${cell.label}${cell.summary.delta_e !== null ? `, ΔE ${cell.summary.delta_e.toFixed(1)}` : ""}`
}

function Thumb({ board }: { board: Board }) {
  const scale = Math.min(250 / board.width_mm, 180 / board.height_mm)
  const [width, height] = [board.width_mm * scale, board.height_mm * scale]
  return (
    <svg viewBox={`0 0 252 ${height + 2}`} className="w-full" aria-hidden="true">
      <image
        href={woodBitmap(board.wood, board.grain, Math.round(width), Math.round(height))}
        x={1}
        y={1}
        width={width}
        height={height}
        preserveAspectRatio="none"
      />
      {board.cells.map((cell, index) => {
        const place = board.places[index]
        return place ? (
          <rect
            key={cell.id}
            x={1 + place.x_mm * scale}
            y={1 + place.y_mm * scale}
            width={place.width_mm * scale}
            height={place.height_mm * scale}
            fill={cell.summary.hex ?? cell.predicted?.hexes.D65 ?? "none"}
            stroke={cell.id === board.best ? "var(--tape-ink)" : "var(--paper-ink)"}
            strokeWidth={cell.id === board.best ? 4 : 0.8}
          />
        ) : null
      })}
      <rect x={1} y={1} width={width} height={height} fill="none" stroke="var(--ink)" />
    </svg>
  )
}
