import { Link } from "@inertiajs/react"
import { PageHead } from "@/components/PageHead"
import { SavePicture } from "@/drawing/save/SavePicture"
import type { Board, BoardTrial } from "@/types"

/** What the board is, for which piece, and the other boards of its trial. */
export function BoardHead({ board, trial }: { board: Board; trial: BoardTrial | null }) {
  const others = trial ? trial.boards.filter((other) => other.id !== board.id) : []
  return (
    <PageHead
      title={board.name}
      facts={
        <>
          {board.piece ? (
            <>
              for{" "}
              <Link href={`/pieces/${board.piece.id}/schedule`} className="underline underline-offset-2">
                {board.piece.name}
              </Link>
              {board.look ? ` (${board.look})` : ""},{" "}
            </>
          ) : null}
          {board.wood} {board.width_mm} × {board.height_mm} mm{board.timber_lot ? `, ${board.timber_lot}` : ""}, made{" "}
          {made(board)}
          {others.map((other) => (
            <span key={other.id}>
              {" · "}
              <Link href={`/boards/${other.id}`} className="underline underline-offset-2">
                {other.name.replace(`${trial?.name}, `, "")}
              </Link>
            </span>
          ))}
        </>
      }
    >
      <a href={`/boards/${board.id}/file`} className="ui-button ml-auto" download>
        As a file
      </a>
      <SavePicture
        picture={{
          title: `${board.name}, ${board.wood} ${board.width_mm} × ${board.height_mm} mm, made ${made(board)}`,
          file: board.name,
          parts: () => [...document.querySelectorAll(".board-frame")],
        }}
      />
    </PageHead>
  )
}

const made = (board: Board) =>
  new Intl.DateTimeFormat("en-GB", { weekday: "short", day: "numeric", month: "short", timeZone: "UTC" })
    .format(new Date(`${board.made_on}T12:00:00Z`))
    .replace(",", "")
