import { memo } from "react"
import type { Sheet } from "@/types"
import type { Axis } from "./axis"
import { AXIS } from "./frame"

/** Days, hours, shut hours and hands along the top of the film section. */
export const Clock = memo(function Clock({ axis, sheet, height }: { axis: Axis; sheet: Sheet; height: number }) {
  const nights = axis.segments.filter((segment) => segment.kind !== "work")
  return (
    <g>
      {nights.map((segment) => (
        <rect
          key={segment.from}
          x={segment.x}
          y={AXIS}
          width={segment.width}
          height={height - AXIS}
          fill="var(--closed)"
          opacity={0.55}
        />
      ))}
      <path d={`M0 ${AXIS}H${axis.width}`} stroke="var(--second)" strokeWidth={1.5} />
      {axis.days.map((day) => (
        <g key={day.start}>
          <path d={`M${day.x} 4V${AXIS}`} stroke="var(--firm)" />
          {day.width > 40 && (
            <text x={day.x + 5} y={17} className="axis-day">
              {day.width > 82 ? day.label : day.short}
            </text>
          )}
        </g>
      ))}
      {axis.segments
        .filter((segment) => segment.kind === "break")
        .map((segment) => (
          <text
            key={segment.from}
            x={segment.x + segment.width / 2}
            y={AXIS + 4}
            textAnchor="middle"
            className="axis-day"
          >
            {"//"}
          </text>
        ))}
      {axis.ticks.map((tick) => (
        <g key={tick.minute}>
          <path d={`M${tick.x} ${AXIS}v-5`} stroke="var(--second)" />
          <text x={tick.x} y={AXIS - 9} textAnchor="middle" className="axis-tick">
            {tick.label}
          </text>
        </g>
      ))}
      {sheet.elsewhere.map(([from, to]) => (
        <rect
          key={from}
          x={axis.x(from)}
          y={AXIS + 1}
          width={Math.max(axis.x(to) - axis.x(from), 2)}
          height={5}
          fill="var(--firm)"
        />
      ))}
      {sheet.rows.flatMap((row) =>
        row.hands.map(([from, to]) => (
          <rect
            key={`${row.key}${from}`}
            x={axis.x(from)}
            y={AXIS - 3}
            width={Math.max(axis.x(to) - axis.x(from), 2)}
            height={6}
            fill="var(--ink)"
          />
        )),
      )}
    </g>
  )
})
