import { memo } from "react"
import type { Layer, Section } from "@/types"
import type { Axis } from "./axis"
import { band, heightAt, outline, type Point, run, zigzag } from "./film"
import { Strip } from "./Strip"
import { type Pore, surface } from "./surface"

const CLEARS = ["var(--clear-1)", "var(--clear-2)", "var(--clear-3)"]

type Colour = (step: string) => string | undefined

/** Clear films are resin; what colours is drawn in the colour that the looks compute for its step. */
function fillOf(layer: Layer, index: number, colour: Colour): { fill: string; opacity: number } {
  if (layer.look === "amber" || layer.look === "ambering") return { fill: "var(--resin)", opacity: 0.86 }
  if (layer.look === "pigmented") return { fill: colour(layer.step) ?? "var(--film-pigmented)", opacity: 1 }
  if (layer.look === "tinted") return { fill: colour(layer.step) ?? "var(--film-tinted)", opacity: 0.9 }
  if (layer.look === "found") return { fill: "url(#found)", opacity: 1 }
  return { fill: CLEARS[index % 3] ?? "var(--clear-2)", opacity: 0.8 - (index % 3) * 0.05 }
}

type Props = {
  section: Section
  axis: Axis
  y: (um: number) => number
  pxPerUm: number
  pores: Pore[]
  colour: Colour
  end: number
  selected: string | null
}

/**
 * The coats: wet milk clearing to resin, each with the texture of its method and its window strip; a zig-zag where two
 * will not bite.
 */
export const Layers = memo(function Layers(props: Props) {
  const { section, axis, y, end, selected } = props
  const tops = section.layers.map((layer, index) => surface(layer, section.layers[index + 1], props))
  return (
    <g data-part="layers">
      {section.layers.map((layer, index) => (
        <Coat
          key={layer.pass}
          {...{ layer, axis, y, end }}
          top={tops[index] as Point[]}
          below={tops[index - 1] ?? null}
          paint={fillOf(layer, index, props.colour)}
          on={layer.pass === selected}
        />
      ))}
      <Glazes {...props} />
      {section.layers.map((layer) => (
        <Strip key={layer.pass} strip={layer.strip} axis={axis} y={y(layer.base_um + layer.dry_um) + 3} />
      ))}
    </g>
  )
})

type CoatProps = Pick<Props, "axis" | "y" | "end"> & {
  layer: Layer
  top: Point[]
  below: Point[] | null
  paint: { fill: string; opacity: number }
  on: boolean
}

function Coat({ layer, top, below, axis, y, end, paint, on }: CoatProps) {
  const from = top[0]?.[0] ?? layer.laid_at
  const wet = Math.min(layer.touch_at * 2 - layer.laid_at, end)
  return (
    <g data-state={on ? "selected" : "rest"}>
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
        strokeWidth={on ? 2.4 : 1.3}
        strokeLinejoin="round"
      />
      {layer.unbonded && (
        <path
          d={zigzag(axis.x(from), axis.x(end), y(layer.base_um))}
          fill="none"
          stroke="var(--stop)"
          strokeWidth={2}
        />
      )}
    </g>
  )
}

const GLAZE = 3

/** Colour that lies on a film: thin, in the colour it makes, from when it was laid on. */
function Glazes({ section, axis, y, colour, end }: Props) {
  return section.stains
    .filter((stain) => !stain.in_wood)
    .map((stain) => {
      const below = section.layers.findLast((layer) => layer.laid_at <= stain.at)
      if (!below) return null
      const line = run(below.top as Point[], stain.at, end).map(
        ([minute]): Point => [minute, heightAt(below.top as Point[], minute)],
      )
      return (
        <path
          key={stain.pass}
          data-part="glaze"
          d={outline(axis, y, line, stain.at, end)}
          fill="none"
          stroke={colour(stain.step) ?? "var(--film-tinted)"}
          strokeWidth={GLAZE}
        />
      )
    })
}

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
