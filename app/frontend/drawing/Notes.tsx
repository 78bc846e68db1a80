import { clock, soon } from "@/lib/time"
import type { Sheet } from "@/types"
import type { Axis } from "./axis"
import { placeLabels } from "./film"
import { AXIS, WOOD } from "./frame"

/** Where the clock stands. */
export function NowLine({ axis, sheet, zero }: { axis: Axis; sheet: Sheet; zero: number }) {
  const x = axis.x(sheet.now)
  const left = Math.min(Math.max(x - 34, 0), axis.width - 74)
  return (
    <g data-part="now">
      <path d={`M${x} ${AXIS + 8}V${zero + WOOD}`} stroke="var(--tape-off)" strokeWidth={2} />
      <rect x={left} y={AXIS + 8} width={74} height={19} fill="url(#open)" stroke="#0a4e86" strokeWidth={1} />
      <text x={left + 37} y={AXIS + 22} textAnchor="middle" className="on-tape">
        now {clock(sheet.now, sheet.zone)}
      </text>
    </g>
  )
}

/** Names of the coats by priority, and what is left at the end. */
export function Labels({ sheet, axis, y, selected }: { sheet: Sheet; axis: Axis; y: (um: number) => number; selected: string | null }) {
  const { section } = sheet
  const layers = section.layers.map((layer) => ({
    key: layer.pass,
    x: axis.x(layer.laid_at) + 8,
    y: y(layer.base_um + layer.wet_um) - 7,
    text: `${layer.number} ${layer.label}`,
    short: String(layer.number),
    width: (layer.label.length + 2) * 7,
    strong: layer.pass === selected,
    high: layer.wet_um,
  }))
  const wanted = layers.sort((one, other) => Number(other.strong) - Number(one.strong) || other.high - one.high)
  const final = section.layers.length ? `${Math.round(section.film_um)} ± ${Math.round(section.sd_um)} µm left` : ""
  const reserved = final ? [24, 40].map((row) => ({ x1: axis.width - 136, x2: axis.width, y: AXIS + row })) : []
  return (
    <g>
      {placeLabels(wanted, axis.width, reserved).map((label) => (
        <text
          key={label.key}
          x={label.x}
          y={label.y}
          textAnchor="middle"
          className={label.strong ? "film-label film-label-on" : "film-label"}
        >
          {label.placed}
        </text>
      ))}
      <text x={axis.width - 6} y={AXIS + 24} textAnchor="end" className="film-final">
        {final}
      </text>
      {section.least_um ? (
        <text x={axis.width - 6} y={AXIS + 40} textAnchor="end" className="axis-tick">
          {section.least_um} µm least, dashed
        </text>
      ) : null}
    </g>
  )
}

/** The start that is being dragged. */
export function DragGhost({ axis, sheet, minute, height }: { axis: Axis; sheet: Sheet; minute: number; height: number }) {
  const x = axis.x(minute)
  return (
    <g data-part="drag">
      <path d={`M${x} ${AXIS}V${height}`} stroke="var(--tape-off)" strokeWidth={2} strokeDasharray="4 3" />
      <text x={x + 6} y={AXIS + 44} className="film-label film-label-on">
        {soon(minute, sheet.zone, sheet.now)}
      </text>
    </g>
  )
}
