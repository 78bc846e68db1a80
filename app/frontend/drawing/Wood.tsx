import type { Section } from "@/types"
import type { Axis } from "./axis"
import { WOOD } from "./frame"
import { Strip } from "./Strip"
import { woodBitmap } from "./woodBitmap"

/** The wood under the film, with the colour that went into it; depth is squeezed. */
export function Wood({
  section,
  wood,
  dye,
  axis,
  zero,
  end,
}: {
  section: Section
  wood: string
  dye: string
  axis: Axis
  zero: number
  end: number
}) {
  const width = Math.max(Math.round(axis.width), 10)
  const stained = section.stains[0]
  return (
    <g>
      <image
        href={woodBitmap(wood, section.wood, width, WOOD)}
        x={0}
        y={zero}
        width={width}
        height={WOOD}
        preserveAspectRatio="none"
      />
      {stained && <path d={dyed(axis.x(stained.at), axis.x(end), zero)} fill={dye} opacity={0.86} />}
      {section.stains.map((stain) => (
        <Strip key={stain.pass} strip={stain.strip} axis={axis} y={zero + 5} />
      ))}
      <path d={`M0 ${zero}H${axis.width}`} stroke="var(--paper-ink)" strokeWidth={1.4} />
      <text x={axis.width - 8} y={zero + WOOD - 8} textAnchor="end" className="on-wood">
        {wood}, depth squeezed
      </text>
      {stained && (
        <text x={Math.min(axis.x(stained.at) + 16, axis.width - 200)} y={zero + 34} className="on-dye">
          {stained.label}
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
