import { useEffect, useState } from "react"
import { useLight } from "@/colour/useLight"
import { Panel } from "@/components/Panel"
import type { Board, BoardPairs, Cell } from "@/types"

type Props = {
  open: boolean
  onOpenChange: (open: boolean) => void
  board: Board
  pairs: BoardPairs
  onPick: (winner: number, loser: number) => void
}

/**
 * Two cells side by side without their names: the eye picks. Left and right arrow pick too. What the picks say stands
 * below.
 */
export function BlindPairs({ open, onOpenChange, board, pairs, onPick }: Props) {
  const [light] = useLight()
  const [skipped, setSkipped] = useState(0)
  const pair = pairs.left[skipped % Math.max(pairs.left.length, 1)]
  const cells = pair?.map((id) => board.cells.find((cell) => cell.id === id)) as [Cell, Cell] | undefined
  const pick = (side: 0 | 1) => cells && onPick(cells[side].id, cells[side === 0 ? 1 : 0].id)
  useEffect(() => {
    if (!open) return
    const listen = (event: KeyboardEvent) => {
      if (event.key === "ArrowLeft" || event.key === "ArrowRight") {
        event.preventDefault()
        pick(event.key === "ArrowLeft" ? 0 : 1)
      }
    }
    window.addEventListener("keydown", listen)
    return () => window.removeEventListener("keydown", listen)
  })
  return (
    <Panel title="Which of the two?" open={open} onOpenChange={onOpenChange} leave="Done">
      {cells ? (
        <>
          <p className="text-second text-fine mt-1">
            Hold the board in the light it will be seen in. {pairs.left.length} pairs are left.
          </p>
          <div className="blind-pair mt-3">
            {cells.map((cell, side) => (
              <button
                key={cell.id}
                type="button"
                className="pair-side"
                style={{ background: cell.read_hexes?.[light] ?? cell.predicted?.hexes[light] }}
                onClick={() => pick(side as 0 | 1)}
              >
                <span>{side === 0 ? "Left one" : "Right one"}</span>
              </button>
            ))}
          </div>
          <button type="button" className="ui-button mt-2" data-quiet onClick={() => setSkipped(skipped + 1)}>
            Cannot say, another pair
          </button>
        </>
      ) : (
        <p className="text-second mt-2">Every pair was shown once.</p>
      )}
      {pairs.strengths.length > 0 && <Strengths pairs={pairs} />}
    </Panel>
  )
}

function Strengths({ pairs }: { pairs: BoardPairs }) {
  const [first, second] = pairs.strengths
  return (
    <section aria-label="What the picks say" className="mt-4">
      <p className="text-head" role="status">
        {pairs.sure
          ? `Cell ${first?.label} is ahead of all others.`
          : `${pairs.picks} ${pairs.picks === 1 ? "pick" : "picks"}: cell ${first?.label} before ${second?.label}, but within chance.`}
      </p>
      <ol className="pick-strengths">
        {pairs.strengths.map((standing) => (
          <li key={standing.id}>
            <b>{standing.label}</b>
            <svg width="220" height="20" aria-hidden="true">
              <path d="M110 1v18" stroke="var(--firm)" />
              <path
                d={`M${110 + clamp((standing.strength - 1.96 * standing.sd) * 24)} 10H${110 + clamp((standing.strength + 1.96 * standing.sd) * 24)}`}
                stroke="var(--tape-off)"
                strokeWidth={2}
              />
              <circle cx={110 + clamp(standing.strength * 24)} cy={10} r={5} fill="var(--ink)" />
            </svg>
            <span className="text-fine text-second">
              {standing.wins} picked, {standing.losses} passed over
            </span>
          </li>
        ))}
      </ol>
    </section>
  )
}

const clamp = (value: number) => Math.min(Math.max(value, -104), 104)
