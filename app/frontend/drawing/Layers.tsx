import { memo } from "react"
import type { Layer, Section } from "@/types"
import type { Axis } from "./axis"
import { band, outline, type Point, zigzag } from "./film"
import { Strip } from "./Strip"

const CLEARS = ["var(--clear-1)", "var(--clear-2)", "var(--clear-3)"]

function fillOf(layer: Layer, index: number): { fill: string; opacity: number } {
  if (layer.look === "amber" || layer.look === "ambering") return { fill: "var(--resin)", opacity: 0.86 }
  if (layer.look === "pigmented") return { fill: "var(--film-pigmented)", opacity: 1 }
  if (layer.look === "tinted") return { fill: "var(--film-tinted)", opacity: 0.8 }
  return { fill: CLEARS[index % 3] ?? "var(--clear-2)", opacity: 0.8 - (index % 3) * 0.05 }
}

/** The coats: wet milk clearing to resin, each with its window strip; a zig-zag where two will not bite. */
export const Layers = memo(function Layers({
  section,
  axis,
  y,
  end,
  selected,
}: {
  section: Section
  axis: Axis
  y: (um: number) => number
  end: number
  selected: string | null
}) {
  return (
    <g>
      {section.layers.map((layer, index) => {
        const top = layer.top as Point[]
        const below = index ? ((section.layers[index - 1]?.top ?? null) as Point[] | null) : null
        const from = top[0]?.[0] ?? layer.laid_at
        const wet = Math.min(layer.touch_at * 2 - layer.laid_at, end)
        const paint = fillOf(layer, index)
        const x1 = axis.x(from)
        return (
          <g key={layer.pass} data-state={layer.pass === selected ? "selected" : "rest"}>
            <path
              d={`M${axis.x(layer.laid_at)} ${y(layer.base_um)}V${y(layer.base_um + layer.wet_um)}l10 4V${y(layer.base_um)}Z`}
              fill="url(#cast)"
              transform="translate(4 0)"
            />
            <path d={band(axis, y, top, below, from, end)} fill={paint.fill} fillOpacity={paint.opacity} />
            {wet > layer.laid_at && <path d={band(axis, y, top, below, from, wet)} fill="url(#milk)" />}
            <path
              d={outline(axis, y, top, from, end)}
              fill="none"
              stroke="var(--layer-ink)"
              strokeWidth={layer.pass === selected ? 2.4 : 1.3}
            />
            {layer.unbonded && (
              <path d={zigzag(x1, axis.x(end), y(layer.base_um))} fill="none" stroke="var(--stop)" strokeWidth={2} />
            )}
          </g>
        )
      })}
      {section.layers.map((layer) => (
        <Strip key={layer.pass} strip={layer.strip} axis={axis} y={y(layer.base_um + layer.dry_um) + 3} />
      ))}
    </g>
  )
})

/** Where an abrasive bit into the film. */
export function Bite({ x1, x2, y }: { x1: number; x2: number; y: number }) {
  const width = Math.max(x2 - x1, 6)
  const teeth = "q1.5 5 3 0t3 0".repeat(Math.max(Math.round(width / 6), 1))
  return <path d={`M${x1} ${y}${teeth}`} fill="none" stroke="var(--ink)" strokeWidth={1.6} />
}

/** The least film that protects, dashed. */
export function Least({ section, axis, y }: { section: Section; axis: Axis; y: (um: number) => number }) {
  if (!section.least_um || !section.layers.length) return null
  const from = axis.x(section.layers.at(-1)?.laid_at ?? 0)
  return (
    <path
      data-part="least"
      d={`M${Math.max(from - 30, 0)} ${y(section.least_um)}H${axis.width}`}
      stroke="var(--ink)"
      strokeWidth={2}
      strokeDasharray="7 4"
    />
  )
}
