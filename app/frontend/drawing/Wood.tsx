import type { Section } from "@/types"
import type { Axis } from "./axis"
import { WOOD } from "./frame"
import { Strip } from "./Strip"
import { type Pore, porePaths } from "./surface"
import { woodBitmap } from "./woodBitmap"

type Props = {
  section: Section
  wood: string
  /** Colour that a step leaves, where the looks know it. */
  colour: (step: string) => string | undefined
  /** Colour of a stain that the looks do not know. */
  dye: string
  pores: Pore[]
  axis: Axis
  zero: number
  end: number
}

/** The wood under the film, the colour that went into it, its pores and what is in them; depth is squeezed. */
export function Wood({ section, wood, colour, dye, pores, axis, zero, end }: Props) {
  const width = Math.max(Math.round(axis.width), 10)
  const stains = section.stains.filter((stain) => stain.in_wood)
  const { open, filled } = porePaths(pores, section.pores, axis, zero)
  const first = stains[0]
  return (
    <g data-part="wood">
      <image
        href={woodBitmap(wood, section.wood, width, WOOD)}
        x={0}
        y={zero}
        width={width}
        height={WOOD}
        preserveAspectRatio="none"
      />
      {stains.map((stain) => (
        <path
          key={stain.pass}
          d={dyed(axis.x(stain.at), axis.x(end), zero)}
          fill={colour(stain.step) ?? dye}
          opacity={0.86}
        />
      ))}
      <path data-part="pores" d={open} fill="var(--pore)" opacity={0.62} />
      {filled && <path data-part="filled" d={filled} fill="var(--pore-filled)" />}
      {section.stains.map((stain) => (
        <Strip key={stain.pass} strip={stain.strip} axis={axis} y={zero + 5} />
      ))}
      <path d={`M0 ${zero}H${axis.width}`} stroke="var(--paper-ink)" strokeWidth={1.4} />
      <text x={axis.width - 8} y={zero + WOOD - 8} textAnchor="end" className="on-wood">
        {wood}, depth squeezed{section.pores.depth_um >= 80 ? `: pores ${section.pores.depth_um} µm` : ""}
      </text>
      {first && (
        <text x={Math.min(axis.x(first.at) + 16, axis.width - 200)} y={zero + 34} className="on-dye">
          {first.label}
        </text>
      )}
    </g>
  )
}

/** Dye stands deep in end grain and pores: a ragged lower edge from a fixed pattern. */
function dyed(x1: number, x2: number, zero: number): string {
  const depth = (index: number) => 40 + ((index * 37) % 11) * 1.6 - ((index * 53) % 7)
  const count = Math.max(Math.round((x2 - x1) / 9), 2)
  const edge = Array.from(
    { length: count },
    (_, index) =>
      `${(x2 - ((x2 - x1) * index) / (count - 1)).toFixed(1)} ${(zero + Math.min(depth(index), 12 + (count - 1 - index) * 14)).toFixed(1)}`,
  )
  return `M${x1} ${zero}H${x2}L${edge.join("L")}Z`
}
