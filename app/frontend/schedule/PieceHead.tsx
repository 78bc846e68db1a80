import { Link } from "@inertiajs/react"
import { useMeasures } from "@/lib/units"
import { PiecePhotos } from "@/photo/PiecePhotos"
import type { Sheet } from "@/types"
import { Neighbours } from "./Choices"
import { HouseRules } from "./HouseRules"
import { Summary } from "./Summary"
import type { useSheet } from "./useSheet"

type Props = {
  state: ReturnType<typeof useSheet>
  pieces: number[]
  house: Record<string, string>
  go: (by: number) => void
  preview: Sheet | null
}

/** What the piece is, where its schedule came from, its rules, and what it comes to. */
export function PieceHead({ state, pieces, house, go, preview }: Props) {
  const { piece, schedule, sheet, approval } = state
  const { area } = useMeasures()
  return (
    <header className="page-head">
      <div>
        <h1 className="text-title">{piece.name}</h1>
        <p className="text-second">
          <Link href={`/pieces/${piece.id}/edit`} className="underline underline-offset-2">
            {piece.count} off, {piece.wood}, {area.text(piece.area_m2, 1)}
          </Link>{" "}
          ·{" "}
          <Link href="/pieces" className="underline underline-offset-2">
            {piece.client}
          </Link>
          {" · "}
          <HouseRules document={sheet.document} house={house} support={sheet.support} onEdit={state.edit} />
          {" · "}
          <Link href={`/pieces/compare?piece=${piece.id}`} className="underline underline-offset-2">
            Compare
          </Link>
          {" · "}
          <Link href="/pieces/plan" className="underline underline-offset-2">
            Shop plan
          </Link>
          {schedule.origin && (
            <>
              {" · from "}
              <Link href={`/boards/${schedule.origin.board_id}`} className="underline underline-offset-2">
                cell {schedule.origin.label} of {schedule.origin.board}
              </Link>
            </>
          )}
          {" · "}
          <PiecePhotos piece={piece.id} />
        </p>
        {approval && (
          <p className={approval.stale ? "text-fine caution-text" : "text-fine text-second"}>
            {approval.stale
              ? `The look ${approval.name} approved is another one by now: ask again.`
              : `Look approved by ${approval.name}, seen by ${approval.light}.`}
          </p>
        )}
      </div>
      <Neighbours pieces={pieces} id={piece.id} go={go} />
      <Summary sheet={sheet} preview={preview} />
    </header>
  )
}
