import type { Sheet } from "@/types"
import type { Axis } from "./axis"
import { AXIS } from "./frame"

/** How far the loops may still go beyond what is planned: shaded, with the number of rounds. */
export function Rounds({ sheet, axis, zero }: { sheet: Sheet; axis: Axis; zero: number }) {
  const last = new Map(sheet.rows.filter((row) => row.round !== null).map((row) => [row.step, row]))
  return (
    <g data-part="rounds" pointerEvents="none">
      {[...last.values()].map((row) => {
        const { round } = row
        if (!round || round.more === 0 || row.status === "done") return null
        const [from, to] = [axis.x(row.hands_end), Math.min(axis.x(round.until), axis.width)]
        if (to - from < 3) return null
        return (
          <g key={row.key}>
            <rect x={from} y={AXIS} width={to - from} height={zero - AXIS} className="rounds-shade" />
            <path d={`M${from} ${AXIS}V${zero}`} className="rounds-edge" />
            {to - from > 74 && (
              <text x={from + 6} y={zero - 8} className="axis-tick">
                up to {round.more} more {round.more === 1 ? "round" : "rounds"}
              </text>
            )}
          </g>
        )
      })}
    </g>
  )
}
