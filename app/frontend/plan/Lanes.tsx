import type { Axis } from "@/drawing/axis"
import { clock, when } from "@/lib/time"
import type { PlanPage, ShopPlan } from "@/types"
import { LANE } from "./rows"

/** One lane a person: a line while they are there, a hanging flag for each time their hands are on a piece. */
export function Lanes({
  plan,
  axis,
  y,
  pieces,
}: {
  plan: ShopPlan
  axis: Axis
  y: number
  pieces: PlanPage["pieces"]
}) {
  const name = (id: string) => pieces.find((piece) => piece.core_id === id)?.name ?? id
  return (
    <g>
      {plan.lanes.map((lane, index) => {
        const line = y + index * LANE + 8
        return (
          <g key={lane.person}>
            {lane.open.map(([from, to]) => (
              <path key={from} d={`M${axis.x(from)} ${line}H${axis.x(to)}`} stroke="var(--ink)" strokeWidth={2} />
            ))}
            {lane.marks.map((mark) => {
              const wide = Math.max(axis.x(mark.to) - axis.x(mark.from), 2.5)
              return (
                <g key={`${mark.key}${mark.from}`} data-state={mark.status}>
                  <path
                    d={`M${axis.x(mark.from)} ${line}h${wide}v${LANE - 22}l${-wide / 2} -5l${-wide / 2} 5z`}
                    fill={
                      mark.status === "done" ? "var(--firm)" : mark.status === "running" ? "url(#open)" : "var(--lit)"
                    }
                    stroke="var(--ink)"
                    strokeWidth={mark.status === "done" ? 0.6 : 1}
                  >
                    <title>{`${lane.person}: ${mark.words}, ${name(mark.piece)}, ${when(mark.from, plan.zone)} to ${clock(mark.to, plan.zone)}`}</title>
                  </path>
                  {wide > 34 && (
                    <text
                      x={axis.x(mark.from) + wide / 2}
                      y={line + 14}
                      textAnchor="middle"
                      className="flag-word"
                      style={{ fill: mark.status === "planned" ? "var(--ink)" : "var(--bar-ink)" }}
                    >
                      {fitted(name(mark.piece), wide)}
                    </text>
                  )}
                </g>
              )
            })}
          </g>
        )
      })}
    </g>
  )
}

const fitted = (name: string, wide: number) => {
  const letters = Math.floor(wide / 6.4)
  return name.length <= letters
    ? name
    : (name.split(" ").find((word) => word.length <= letters && word.length > 3) ?? "")
}
