import { clock, soon } from "@/lib/time"
import { useMeasures } from "@/lib/units"
import type { Row, Sheet } from "@/types"
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
      <rect x={left} y={AXIS + 8} width={74} height={19} fill="url(#open)" stroke="var(--tape-ink)" strokeWidth={1} />
      <text x={left + 37} y={AXIS + 22} textAnchor="middle" className="on-tape">
        now {clock(sheet.now, sheet.zone)}
      </text>
    </g>
  )
}

/** Names of the coats by priority, and what is left at the end. */
export function Labels({
  sheet,
  axis,
  y,
  selected,
}: {
  sheet: Sheet
  axis: Axis
  y: (um: number) => number
  selected: string | null
}) {
  const { section } = sheet
  const { film } = useMeasures()
  const layers = section.layers.map((layer) => ({
    key: layer.pass,
    x: axis.x(layer.laid_at) + 8,
    y: y(layer.base_um + layer.wet_um) - 7,
    text: layer.number ? `${layer.number} ${layer.label}` : layer.label,
    short: layer.number ? String(layer.number) : layer.label,
    width: (layer.label.length + 2) * 7,
    strong: layer.pass === selected,
    high: layer.wet_um,
  }))
  const wanted = layers.sort((one, other) => Number(other.strong) - Number(one.strong) || other.high - one.high)
  const final = section.layers.length
    ? `${film.number(section.film_um)} ± ${film.number(section.sd_um)} ${film.unit} left`
    : ""
  // Under the tape of now where that stands at the end too.
  const top = AXIS + (axis.x(sheet.now) > axis.width - 200 ? 44 : 24)
  const reserved = final ? [top, top + 16].map((row) => ({ x1: axis.width - 136, x2: axis.width, y: row })) : []
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
      <text x={axis.width - 6} y={top} textAnchor="end" className="film-final">
        {final}
      </text>
      {section.least_um ? (
        <text x={axis.width - 6} y={top + 16} textAnchor="end" className="axis-tick">
          {film.text(section.least_um)} least, dashed
        </text>
      ) : null}
    </g>
  )
}

/** The start that is being dragged. */
export function DragGhost({
  axis,
  sheet,
  row,
  minute,
  height,
}: {
  axis: Axis
  sheet: Sheet
  row: Row
  minute: number
  height: number
}) {
  const x = axis.x(minute)
  const [earliest, latest] = [row.earliest + row.setup_min, row.latest + row.setup_min]
  const legal = minute >= earliest && minute <= latest
  const [from, to] = [axis.x(earliest), Math.max(axis.x(latest), axis.x(earliest) + 3)]
  return (
    <g data-part="drag" data-state={legal ? "legal" : "outside"}>
      <rect
        x={from}
        y={AXIS + 1}
        width={to - from}
        height={height - AXIS - 2}
        fill="url(#open)"
        fillOpacity={0.28}
        stroke="var(--tape-off)"
        strokeDasharray="2 3"
      />
      <path
        d={`M${x} ${AXIS}V${height}`}
        stroke={legal ? "var(--tape-off)" : "var(--stop)"}
        strokeWidth={2}
        strokeDasharray="4 3"
      />
      <text x={x + 6} y={AXIS + 44} className="film-label film-label-on">
        {soon(minute, sheet.zone, sheet.now)}
      </text>
      <text
        x={x + 6}
        y={AXIS + 62}
        className="axis-tick"
        style={{
          fill: legal ? "var(--ink)" : "var(--stop-text)",
          paintOrder: "stroke",
          stroke: "var(--ground-flat)",
          strokeWidth: 4,
        }}
      >
        {legal
          ? `may start ${soon(earliest, sheet.zone, sheet.now)} to ${soon(latest, sheet.zone, sheet.now)}`
          : minute < earliest
            ? `not before ${soon(earliest, sheet.zone, sheet.now)}`
            : `later than ${soon(latest, sheet.zone, sheet.now)} moves what follows`}
      </text>
    </g>
  )
}
