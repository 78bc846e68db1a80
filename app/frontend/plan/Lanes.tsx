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
  const names = new Map(pieces.map((piece) => [piece.core_id, piece.name]))
  const name = (id: string) => names.get(id) ?? id
  const words = new Map(plan.strands.flatMap((strand) => strand.marks.map((mark) => [mark.key, mark.words])))
  return (
    <g>
      {plan.lanes.map((lane, index) => {
        const line = y + index * LANE + 8
        return (
          <g key={lane.person}>
            {lane.open.map(([from, to]) => (
              <path key={from} d={`M${axis.x(from)} ${line}H${axis.x(to)}`} stroke="var(--ink)" strokeWidth={2} />
            ))}
            {lane.elsewhere.map(([from, to]) => (
              <path
                key={`elsewhere ${from}`}
                d={`M${axis.x(from)} ${line}H${axis.x(to)}v7H${axis.x(from)}z`}
                fill="var(--firm)"
                stroke="none"
              >
                <title>{`${lane.person}: on pieces of another page, ${when(from, plan.zone)} to ${clock(to, plan.zone)}`}</title>
              </path>
            ))}
            {lane.flags.map((mark) => {
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
                    <title>{`${lane.person}: ${words.get(mark.key)}, ${name(mark.piece)}, ${when(mark.from, plan.zone)} to ${clock(mark.to, plan.zone)}`}</title>
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
