import { scaleLinear } from "d3-scale"
import { area, curveStepAfter } from "d3-shape"
import type { Axis } from "@/drawing/axis"
import { when } from "@/lib/time"
import type { ShopPlan } from "@/types"
import { PLACE } from "./rows"

type Place = ShopPlan["places"][number]

/**
 * One line a room: milk where films are wet, dots where dust is in the air, and the rack filling and emptying under its
 * brim.
 */
export function Places({ plan, axis, y }: { plan: ShopPlan; axis: Axis; y: number }) {
  return (
    <g>
      {plan.places.map((place, index) => {
        const line = y + index * PLACE + 28
        return (
          <g key={place.room}>
            <path d={`M0 ${line}H${axis.width}`} stroke="var(--firm)" />
            {place.rack_places !== null && place.lying.length > 0 && (
              <>
                <path
                  d={rack(place, axis, line, plan.last)}
                  fill="var(--rule)"
                  fillOpacity={0.7}
                  stroke="var(--third)"
                  strokeWidth={0.8}
                />
                <path d={`M0 ${line - RACK}H${axis.width}`} stroke="var(--third)" strokeDasharray="1 4" />
                <text x={axis.width - 4} y={line - RACK + 12} textAnchor="end" className="axis-tick">
                  {Math.max(...place.lying.map(([, count]) => count))} of {place.rack_places} places
                </text>
              </>
            )}
            {place.dusty.map(([from, to]) => (
              <rect
                key={`d${from}`}
                x={axis.x(from)}
                y={line - 7}
                width={Math.max(axis.x(to) - axis.x(from), 2)}
                height={7}
                fill="url(#too-soon)"
                stroke="var(--second)"
                strokeWidth={0.6}
              >
                <title>{`Dust in the ${place.room} until ${when(to, plan.zone)}`}</title>
              </rect>
            ))}
            {place.wet.map(([from, to]) => (
              <path
                key={`w${from}`}
                d={`M${axis.x(from)} ${line}q0 -9 ${Math.min(5, Math.max(axis.x(to) - axis.x(from), 2) / 2)} -9H${Math.max(axis.x(to), axis.x(from) + 2) - 1}q1 4 1 9z`}
                fill="var(--wet)"
                stroke="var(--ink)"
                strokeWidth={0.9}
              >
                <title>{`Wet in the ${place.room} until ${when(to, plan.zone)}`}</title>
              </path>
            ))}
          </g>
        )
      })}
    </g>
  )
}

const RACK = 22

function rack(place: Place, axis: Axis, line: number, last: number) {
  const up = scaleLinear([0, Math.max(place.rack_places ?? 1, 1)], [line, line - RACK])
  const steps = place.lying.map(([minute, count]): [number, number] => [axis.x(minute), up(count)])
  const shape = area<[number, number]>(
    ([x]) => x,
    line,
    ([, y]) => y,
  )
    .curve(curveStepAfter)
    .digits(1)
  return shape([...steps, [axis.x(last), steps.at(-1)?.[1] ?? line]]) ?? ""
}
