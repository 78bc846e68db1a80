type Place = { x_mm: number; y_mm: number; width_mm: number; height_mm: number }

/** A place on a board in pixels. */
export const placed = (place: Place, scale: number) => ({
  left: place.x_mm * scale,
  top: place.y_mm * scale,
  width: place.width_mm * scale,
  height: place.height_mm * scale,
})

/** Masking tape between the cells. */
export function Tapes({
  tapes,
  scale,
  wide,
  high,
}: {
  tapes: { way: string; from: number; to: number }[]
  scale: number
  wide: number
  high: number
}) {
  return tapes.map((tape) => {
    const [start, thick] = [tape.from * scale, (tape.to - tape.from) * scale]
    return (
      <i
        key={`${tape.way} ${tape.from}`}
        className="trial-tape"
        style={
          tape.way === "along"
            ? { left: start, top: 0, width: thick, height: high }
            : { left: 0, top: start, width: wide, height: thick }
        }
      />
    )
  })
}

/** The base after each stage, the bare wood first. */
export function StepStrip({
  strips,
  scale,
  light,
}: {
  strips: (Place & { hexes: Record<string, string> })[]
  scale: number
  light: string
}) {
  return strips.map((stage, index) => (
    <span key={stage.y_mm} className="trial-stage" style={{ ...placed(stage, scale), background: stage.hexes[light] }}>
      {index === 0 ? "bare" : index}
    </span>
  ))
}

/** How long 100 mm are in the drawing. */
export function ScaleBar({ scale }: { scale: number }) {
  return (
    <span className="flex items-center gap-2">
      100 mm
      <svg width={100 * scale + 2} height="9" aria-hidden="true">
        <path
          d={`M1 0v9M1 4.5h${100 * scale}M${100 * scale + 1} 0v9`}
          stroke="currentColor"
          fill="none"
          strokeWidth="1.4"
        />
      </svg>
    </span>
  )
}
