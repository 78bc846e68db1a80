import { memo, type PointerEvent } from "react"
import { drawing } from "@/components/Broken"
import type { OverAnswer, OverPage } from "@/types"
import { CELL, VerdictMark } from "./Marks"

const LEFT = 196
const TOP = 132
const LEAN = -52

type Props = {
  kinds: OverPage["kinds"]
  square: OverAnswer["square"]
  lower: string | null
  upper: string | null
  onChoose: (lower: string, upper: string) => void
}

/**
 * The whole square: what is there down the side, what goes over it along the top. The two lists say the same for keys
 * and readers.
 */
export const Square = drawing("The square", memo(Drawn))

function Drawn({ kinds, square, lower, upper, onChoose }: Props) {
  const width = LEFT + kinds.length * CELL.width + 66
  const height = TOP + kinds.length * CELL.height + 2
  const at = (event: PointerEvent<SVGRectElement>) => {
    const box = event.currentTarget.getBoundingClientRect()
    const pick = (share: number) => kinds[Math.min(Math.floor(share * kinds.length), kinds.length - 1)]?.id
    const row = pick((event.clientY - box.top) / box.height)
    const column = pick((event.clientX - box.left) / box.width)
    if (row && column) onChoose(row, column)
  }
  const row = kinds.findIndex((kind) => kind.id === lower)
  const column = kinds.findIndex((kind) => kind.id === upper)
  const chosen = { x: LEFT + column * CELL.width, y: TOP + row * CELL.height }
  return (
    // biome-ignore lint/a11y/noNoninteractiveTabindex: where it scrolls, keys scroll it
    <section className="over-square" aria-label="The whole square" tabIndex={0}>
      <svg width={width} height={height} role="img" aria-label="What holds over what, kind by kind" className="block">
        {row >= 0 && (
          <rect
            x={0}
            y={chosen.y}
            width={LEFT + kinds.length * CELL.width}
            height={CELL.height}
            className="over-band"
          />
        )}
        {column >= 0 && (
          <rect x={chosen.x} y={TOP} width={CELL.width} height={kinds.length * CELL.height} className="over-band" />
        )}
        {kinds.map((kind, index) => (
          <text
            key={kind.id}
            className="over-name"
            data-state={kind.id === upper ? "on" : "off"}
            transform={`translate(${LEFT + index * CELL.width + 17} ${TOP - 6}) rotate(${LEAN})`}
          >
            {kind.name}
          </text>
        ))}
        {kinds.map((kind, index) => (
          <text
            key={kind.id}
            className="over-name"
            data-state={kind.id === lower ? "on" : "off"}
            x={LEFT - 8}
            y={TOP + index * CELL.height + 16}
            textAnchor="end"
          >
            {kind.name}
          </text>
        ))}
        {kinds.flatMap((below, down) =>
          kinds.map((above, along) => {
            const verdict = square[below.id]?.[above.id]
            return (
              verdict && (
                <VerdictMark
                  key={`${below.id}/${above.id}`}
                  verdict={verdict}
                  x={LEFT + along * CELL.width}
                  y={TOP + down * CELL.height}
                />
              )
            )
          }),
        )}
        {row >= 0 && column >= 0 && (
          <rect {...chosen} width={CELL.width} height={CELL.height} fill="none" stroke="var(--ink)" strokeWidth={2.4} />
        )}
        <rect
          x={LEFT}
          y={TOP}
          width={kinds.length * CELL.width}
          height={kinds.length * CELL.height}
          fill="transparent"
          className="cursor-pointer"
          data-overlay
          onPointerDown={at}
        />
      </svg>
    </section>
  )
}
