import type { Layer } from "@/types"
import { stripFill, stripStroke } from "./Patterns"

/** The window strip of one coat; what is left of it after the next coat is drawn thin. */
export function Strip({
  strip,
  axis,
  y,
}: {
  strip: Layer["strip"]
  axis: { x: (minute: number) => number }
  y: number
}) {
  return (
    <g>
      {strip.map((stretch) => {
        const x = axis.x(stretch.from)
        const width = axis.x(stretch.to) - x
        if (width < 1) return null
        const thin = stretch.over
        return (
          <rect
            key={`${stretch.state}${stretch.from}`}
            data-state={stretch.state}
            x={x}
            y={thin ? y + 4 : y}
            width={width}
            height={thin ? 4 : 13}
            fill={stripFill(stretch.state)}
            stroke={stripStroke(stretch.state)}
            strokeWidth={stretch.state === "scuffed" ? 2 : 0.9}
          />
        )
      })}
    </g>
  )
}
