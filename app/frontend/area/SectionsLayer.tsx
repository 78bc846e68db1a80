import type { FloorSection } from "@/types"

type Px = (metres: number) => number
type Props = { sections: FloorSection[]; strip: number; px: Px; scale: number }

const LEAST_GAP = 9

type PartProps = { part: [number, number, number, number]; px: Px; scale: number; selected?: boolean }

/** A part of the floor from above. */
export function FloorPart({ part: [x, y, width, height], px, scale, selected }: PartProps) {
  return (
    <rect
      x={px(x)}
      y={px(y)}
      width={width * scale}
      height={height * scale}
      fill="var(--lit)"
      stroke="var(--ink)"
      strokeWidth={selected ? 3 : 1.4}
    />
  )
}

/** Sections in their turn, each with the strips it is laid on in; darker the later. */
export function SectionsLayer({ sections, strip, px, scale }: Props) {
  return sections.map((section) => (
    <g key={section.number} pointerEvents="none">
      <rect
        x={px(section.x) + 2}
        y={px(section.y) + 2}
        width={Math.max(section.width * scale - 4, 1)}
        height={Math.max(section.height * scale - 4, 1)}
        fill="var(--clear-2)"
        fillOpacity={0.3 + (0.5 * section.number) / sections.length}
        stroke="var(--layer-ink)"
        strokeDasharray="4 3"
      />
      <path
        d={strips(section, strip, px, scale)}
        stroke="var(--layer-ink)"
        strokeOpacity={0.28}
        strokeWidth={1}
        fill="none"
      />
      <text
        x={px(section.x + section.width / 2)}
        y={px(section.y + section.height / 2) + 2}
        textAnchor="middle"
        className="area-number"
      >
        {section.number}
      </text>
      {section.width * scale > 74 && section.height * scale > 54 && (
        <text
          x={px(section.x + section.width / 2)}
          y={px(section.y + section.height / 2) + 20}
          textAnchor="middle"
          className="axis-tick"
        >
          {(section.ml / 1000).toFixed(1)} l, {Math.round(section.minutes)} min
        </text>
      )}
    </g>
  ))
}

/** Where the last step leaves. */
export function Exit({ at, px }: { at: [number, number]; px: Px }) {
  return (
    <g transform={`translate(${px(at[0])} ${px(at[1])})`} pointerEvents="none">
      <path d="M-9 -7h18v14h-18z" fill="url(#open)" stroke="var(--tape-ink)" />
      <text x={14} y={5} className="area-exit">
        exit
      </text>
    </g>
  )
}

/** How the strips lie: one line a strip, or as many as can be told apart. */
function strips(section: FloorSection, strip: number, px: Px, scale: number) {
  const across = Math.abs(section.width - section.live_edge_m) < 1e-6
  const length = across ? section.height : section.width
  const every = strip * Math.max(1, Math.ceil(LEAST_GAP / (strip * scale)))
  const lines: string[] = []
  for (let at = every; at < length - 1e-6; at += every)
    lines.push(
      across
        ? `M${px(section.x) + 3} ${px(section.y + at)}H${px(section.x + section.width) - 3}`
        : `M${px(section.x + at)} ${px(section.y) + 3}V${px(section.y + section.height) - 3}`,
    )
  return lines.join("")
}
