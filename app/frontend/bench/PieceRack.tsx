import { Tick } from "@/components/Marks"
import { useKeys } from "@/lib/keys"
import type { BenchRow } from "@/types"
import type { Touch } from "./touch"

/** More are ticked one after the other. */
const SHOWN = 24

type Props = { row: BenchRow; inHand: boolean; onTouch: (touch: Touch) => void }

/**
 * The alike pieces that this pass goes over. In hand each is ticked as it is finished: the first and the last give the
 * window of the film. T ticks the next.
 */
export function PieceRack({ row, inHand, onTouch }: Props) {
  const { count, ticked } = row
  const all = Array.from({ length: count }, (_, index) => index + 1)
  const next = all.find((nth) => !ticked.includes(nth))
  const tick = (nth: number) => onTouch({ kind: "tick", pass: row.key, nth })
  useKeys({ t: () => inHand && next !== undefined && tick(next) })
  const shown = all.slice(0, SHOWN)
  return (
    <div className="piece-rack" data-in-hand={inHand || undefined}>
      {shown.map((nth) =>
        inHand ? (
          <button
            key={nth}
            type="button"
            disabled={ticked.includes(nth)}
            data-state={ticked.includes(nth) ? "done" : "waiting"}
            aria-label={ticked.includes(nth) ? `Piece ${nth} is finished` : `Piece ${nth} is finished: tick`}
            onClick={() => tick(nth)}
          >
            {ticked.includes(nth) ? <Tick size={22} /> : nth}
          </button>
        ) : (
          <span key={nth} aria-hidden="true">
            {nth}
          </span>
        ),
      )}
      {count > SHOWN && !inHand && <span aria-hidden="true">+ {count - SHOWN}</span>}
      {inHand && count > SHOWN && next !== undefined && (
        <button type="button" className="rack-next" onClick={() => tick(next)}>
          Tick {next}
        </button>
      )}
      {inHand && (
        <p className="text-second text-fine">
          {ticked.length === 0
            ? "Tick each as it is finished: the first and the last give the window."
            : `${ticked.length} of ${count} finished`}
        </p>
      )}
    </div>
  )
}
