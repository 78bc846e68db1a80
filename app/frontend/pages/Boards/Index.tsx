import { Head, Link, router } from "@inertiajs/react"
import { type FormEvent, useState } from "react"
import { ListPages } from "@/components/ListPages"
import { PageHead } from "@/components/PageHead"
import { Shell } from "@/components/Shell"
import { TakeInFile } from "@/components/TakeInFile"
import { woodBitmap } from "@/drawing/woodBitmap"
import { useRunsShop } from "@/lib/me"
import type { BoardCard, BoardsPage } from "@/types"

const address = (number: number, words: string): string => {
  const query = new URLSearchParams({ ...(words && { words }), ...(number > 1 && { page: String(number) }) })
  return `/boards${query.size ? `?${query}` : ""}`
}

/** All sample boards, newest first, each drawn in its readings. */
export default function BoardsIndex({ boards, page, words, look_again, look_again_more }: BoardsPage) {
  const runsShop = useRunsShop()
  const none = boards.length === 0 && !words
  return (
    <Shell>
      <Head title="Sample boards" />
      <PageHead title="Sample boards" facts="Try looks before the piece; the best cell becomes its schedule.">
        <div className="ml-auto flex gap-2">
          {runsShop && (
            <TakeInFile<{ location: string }>
              path="/boards/file"
              label="A board as a file"
              matched
              onTaken={({ location }) => router.visit(location)}
            />
          )}
          <Link href="/boards/colour" className="ui-button">
            Colour desk
          </Link>
          {!none && (
            <Link href="/trials/new" className="ui-button">
              Design a trial
            </Link>
          )}
        </div>
      </PageHead>
      {none && (
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
          {look_again_more > 0 && `, and ${look_again_more} more`}
        </p>
      )}
      {(page.last > 1 || words) && <Search key={words} words={words} count={page.count} />}
      <ul className="piece-list">
        {boards.map((board) => (
          <li key={board.id}>
            <Link href={`/boards/${board.id}`} className="piece-card">
              <Thumb board={board} />
              <span className="text-head">{board.name}</span>
              <span className="text-second">
                {board.wood}, {board.width_mm} × {board.height_mm} mm{board.piece ? `, for ${board.piece}` : ""}
              </span>
              <span className="piece-ready">{best(board)}</span>
            </Link>
          </li>
        ))}
      </ul>
      <ListPages page={page} href={(number) => address(number, words)} of="boards" />
    </Shell>
  )
}

/** Boards by words of their name, wood or piece. */
function Search({ words, count }: { words: string; count: number }) {
  const [typed, setTyped] = useState(words)
  const find = (event: FormEvent) => {
    event.preventDefault()
    router.visit(address(1, typed.trim()))
  }
  return (
    <form role="search" className="mb-3 flex flex-wrap items-center gap-2" onSubmit={find}>
      <input
        type="search"
        className="ui-input w-64"
        aria-label="Find boards by name, wood or piece"
        placeholder="Name, wood or piece"
        value={typed}
        maxLength={200}
        onChange={(event) => setTyped(event.target.value)}
      />
      <button type="submit" className="ui-button">
        Find
      </button>
      {words && (
        <>
          <span className="text-second" role="status">
            {count === 0 ? "No board" : count === 1 ? "1 board" : `${count} boards`} with “{words}”
          </span>
          <Link href="/boards" className="quiet-link target">
            All boards
          </Link>
        </>
      )}
    </form>
  )
}

function best({ best, cells }: BoardCard): string {
  if (!best) return `${cells.length} ${cells.length === 1 ? "cell" : "cells"}, undecided`
  return `Best: cell ${best.label}${best.delta_e !== null ? `, ΔE ${best.delta_e.toFixed(1)}` : ""}`
}

function Thumb({ board }: { board: BoardCard }) {
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
      {board.cells.map((cell) => (
        <rect
          key={`${cell.x_mm} ${cell.y_mm}`}
          x={1 + cell.x_mm * scale}
          y={1 + cell.y_mm * scale}
          width={cell.width_mm * scale}
          height={cell.height_mm * scale}
          fill={cell.hex ?? "none"}
          stroke={cell.best ? "var(--tape-ink)" : "var(--paper-ink)"}
          strokeWidth={cell.best ? 4 : 0.8}
        />
      ))}
      <rect x={1} y={1} width={width} height={height} fill="none" stroke="var(--ink)" />
    </svg>
  )
}
