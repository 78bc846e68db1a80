import { scaleLinear } from "d3-scale"
import { curveStepAfter, line } from "d3-shape"
import { useMeasures } from "@/lib/units"
import type { Sheet } from "@/types"
import type { Axis } from "./axis"
import { AXIS } from "./frame"

const TALL = 15

/**
 * The room's temperature along the clock: where it sinks, what dries there waits. Labelled where it changes and there
 * is room.
 */
export function AirStrip({ axis, sheet }: { axis: Axis; sheet: Sheet }) {
  const { temperature } = useMeasures()
  const temperatures = sheet.air.map((air) => air.t_c)
  const low = Math.min(...temperatures)
  const high = Math.max(...temperatures)
  if (high - low < 0.5) return null
  const y = scaleLinear([low, high], [AXIS + 3 + TALL, AXIS + 5])
  const end = axis.width
  // Where the clock is squeezed nights would be a comb: a change that has no room is left out.
  const all = sheet.air.map((air, index) => ({
    x: Math.max(0, Math.min(end, axis.x(air.from))),
    t: air.t_c,
    last: index === sheet.air.length - 1,
  }))
  const points = all.filter((point, index) => index === 0 || (all[index + 1]?.x ?? end) - point.x >= 5)
  const steps = line<{ x: number; t: number }>(
    (point) => point.x,
    (point) => y(point.t),
  )
    .curve(curveStepAfter)
    .digits(1)
  const path = steps([...points, { x: end, t: points.at(-1)?.t ?? low }]) ?? ""
  let free = -1
  return (
    <g data-part="air">
      <path d={path} fill="none" stroke="var(--resin)" strokeWidth={1.6} opacity={0.9} />
      {points.map((point, index) => {
        const room = (points[index + 1]?.x ?? end) - point.x
        if (room < 34 || point.x < free || point.x > axis.width - 190) return null
        free = point.x + 90
        return (
          <text key={point.x} x={point.x + 3} y={y(point.t) + (point.t === high ? 12 : -3)} className="air-tick">
            {temperature.text(Math.round(point.t))}
          </text>
        )
      })}
    </g>
  )
}
