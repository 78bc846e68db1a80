import { Link } from "@inertiajs/react"
import { lazy } from "react"
import { Later } from "@/components/Later"
import type { Picture } from "@/drawing/save/files"
import { useMeasures } from "@/lib/units"
import type { Chance, Sheet } from "@/types"
import { Neighbours } from "./Choices"
import { Summary } from "./Summary"
import type { useSheet } from "./useSheet"

const HeadMenu = lazy(() => import("./HeadMenu").then(({ HeadMenu }) => ({ default: HeadMenu })))

type Props = {
  state: ReturnType<typeof useSheet>
  pieces: number[]
  house: Record<string, string>
  chance: Chance | null
  go: (by: number) => void
  preview: Sheet | null
  picture: Picture | null
  onHistory: () => void
}

/** What the piece is, where its schedule came from, and what it comes to; the rest is in the menu. */
export function PieceHead({ state, pieces, house, chance, go, preview, picture, onHistory }: Props) {
  const { piece, sheet } = state
  return (
    <header className="page-head piece-head">
      <div className="min-w-0">
        <h1 className="text-title truncate" title={piece.name}>
          {piece.name}
        </h1>
        <Facts state={state} />
      </div>
      <Neighbours pieces={pieces} id={piece.id} go={go} />
      <Summary sheet={sheet} preview={preview} chance={chance} />
      <Later label="More">
        <HeadMenu state={state} house={house} picture={picture} onHistory={onHistory} />
      </Later>
    </header>
  )
}

function Facts({ state: { piece, approval } }: Pick<Props, "state">) {
  const { area } = useMeasures()
  const facts = `${piece.count} off, ${piece.wood}, ${area.text(piece.area_m2, 1)}`
  return (
    <p className="text-second truncate" title={`${facts} · ${piece.client}`}>
      <Link href={`/pieces/${piece.id}/edit`} className="quiet-link">
        {facts}
      </Link>
      {approval?.stale && <span className="caution-text"> · its look is another than approved</span>}
      {" · "}
      <Link href="/pieces" className="quiet-link">
        {piece.client}
      </Link>
    </p>
  )
}
