import { type PointerEvent, useRef, useState } from "react"
import { drawing } from "@/components/Broken"
import { useWidth } from "@/lib/size"
import type { AreaAnswer } from "@/types"
import type { Part } from "./fields"
import { Exit, FloorPart, SectionsLayer } from "./SectionsLayer"

const SNAP_M = 0.25
const EDGE = 26

type Props = {
  parts: Part[]
  exit: [number, number]
  answer: AreaAnswer | null
  selected: number | null
  placing: boolean
  onSelect: (index: number | null) => void
  onDraw: (part: Part) => void
  onExit: (at: [number, number]) => void
}

/**
 * The floor from above: drag on free ground draws a part, a touch selects one. Sections carry their turn; the wet side
 * of each is its tape edge.
 */
export const Sketch = drawing("The sketch", Drawn)

function Drawn({ parts, exit, answer, selected, placing, onSelect, onDraw, onExit }: Props) {
  const holder = useRef<HTMLDivElement>(null)
  const width = useWidth(holder, 700)
  const [draft, setDraft] = useState<{ from: [number, number]; to: [number, number] } | null>(null)
  const right = Math.max(8, exit[0], ...parts.map((part) => part[0] + part[2])) + 1
  const low = Math.max(5, exit[1], ...parts.map((part) => part[1] + part[3])) + 1
  const scale = Math.min((width - 2 * EDGE) / right, 420 / low)
  const height = low * scale + 2 * EDGE
  const px = (metres: number) => EDGE + metres * scale
  const at = (event: PointerEvent<SVGSVGElement>): [number, number] => {
    const box = event.currentTarget.getBoundingClientRect()
    const snap = (pixels: number) => Math.max(0, Math.round((pixels - EDGE) / scale / SNAP_M) * SNAP_M)
    return [snap(event.clientX - box.left), snap(event.clientY - box.top)]
  }
  const drawn = draft && box(draft.from, draft.to)
  return (
    <div ref={holder}>
      <svg
        width={width}
        height={height}
        className="area-sketch"
        role="img"
        aria-label={`Sketch of ${parts.length} parts${answer ? `, laid on in ${answer.sections.length} sections` : ""}`}
        style={{ touchAction: "none", cursor: placing ? "crosshair" : "default" }}
        onPointerDown={(event) => {
          const here = at(event)
          if (placing) return onExit(here)
          const hit = parts.findIndex((part) => inside(part, here))
          onSelect(hit >= 0 ? hit : null)
          if (hit < 0) {
            event.currentTarget.setPointerCapture(event.pointerId)
            setDraft({ from: here, to: here })
          }
        }}
        onPointerMove={(event) => draft && setDraft({ ...draft, to: at(event) })}
        onPointerUp={() => {
          if (drawn && drawn[2] > 0 && drawn[3] > 0) onDraw(drawn)
          setDraft(null)
        }}
        onPointerCancel={() => setDraft(null)}
      >
        {Array.from({ length: Math.ceil(right) + 1 }, (_, metre) => (
          <path
            // biome-ignore lint/suspicious/noArrayIndexKey: a line for each metre
            key={`x${metre}`}
            d={`M${px(metre)} ${EDGE}V${height - EDGE}`}
            stroke="var(--rule)"
            strokeWidth={metre % 5 ? 0.5 : 1.2}
          />
        ))}
        {Array.from({ length: Math.ceil(low) + 1 }, (_, metre) => (
          <path
            // biome-ignore lint/suspicious/noArrayIndexKey: a line for each metre
            key={`y${metre}`}
            d={`M${EDGE} ${px(metre)}H${width - EDGE}`}
            stroke="var(--rule)"
            strokeWidth={metre % 5 ? 0.5 : 1.2}
          />
        ))}
        {[0, 5, 10, 15, 20, 30, 40]
          .filter((metre) => metre <= right)
          .map((metre) => (
            <text key={metre} x={px(metre)} y={EDGE - 8} textAnchor="middle" className="axis-tick">
              {metre} m
            </text>
          ))}
        {parts.map((part, index) => (
          <FloorPart key={part.join(" ")} part={part} selected={index === selected} {...{ px, scale }} />
        ))}
        {answer && <SectionsLayer sections={answer.sections} strip={answer.strip_m} {...{ px, scale }} />}
        {parts.map((part, index) => (
          <text key={part.join(" ")} x={px(part[0]) + 5} y={px(part[1]) + 14} className="area-part">
            Part {index + 1}
          </text>
        ))}
        {drawn && (
          <rect
            x={px(drawn[0])}
            y={px(drawn[1])}
            width={drawn[2] * scale}
            height={drawn[3] * scale}
            fill="none"
            stroke="var(--tape-off)"
            strokeWidth={2}
            strokeDasharray="5 3"
          />
        )}
        <Exit at={exit} px={px} />
      </svg>
    </div>
  )
}

const inside = ([x, y, width, height]: Part, [at, down]: [number, number]) =>
  at >= x && at <= x + width && down >= y && down <= y + height
const box = (one: [number, number], other: [number, number]): Part => [
  Math.min(one[0], other[0]),
  Math.min(one[1], other[1]),
  Math.abs(one[0] - other[0]),
  Math.abs(one[1] - other[1]),
]
