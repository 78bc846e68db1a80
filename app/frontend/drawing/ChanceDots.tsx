import type { Chance } from "@/types"
import type { Axis } from "./axis"

// Dots over each other before a heap is full.
const HIGHEST = 8

/** Dates the piece might be ready, drawn: each dot stands for as many draws as the others. */
export function ChanceDots({ chance, axis, base }: { chance: Chance; axis: Axis; base: number }) {
  const heaps = new Map<number, number>()
  const dots = chance.dots.map((date) => {
    const x = Math.round(axis.x(date) / 5) * 5
    const height = heaps.get(x) ?? 0
    heaps.set(x, height + 1)
    return { x, height, late: chance.due !== null && date > chance.due }
  })
  return (
    <g data-part="chance">
      {dots
        .filter((dot) => dot.height < HIGHEST)
        .map(({ x, height, late }) => (
          <circle
            key={`${x} ${height}`}
            cx={x}
            cy={base - 5 - height * 5}
            r={2.1}
            fill={late ? "var(--stop)" : "var(--lit)"}
            stroke={late ? "var(--stop)" : "var(--ink)"}
            strokeWidth={1}
          />
        ))}
    </g>
  )
}
