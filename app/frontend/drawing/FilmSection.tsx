import { memo, type PointerEvent, useMemo, useRef, useState } from "react"
import { clock, soon } from "@/lib/time"
import type { Layer, Row, Section, Sheet } from "@/types"
import { type Axis, makeAxis } from "./axis"
import { band, line, type Point, placeLabels, umSteps, zigzag } from "./film"
import { stripFill, stripStroke } from "./Patterns"
import { woodBitmap } from "./wood"

const LEFT = 34
const AXIS = 44
const WOOD = 84
const CLEARS = ["#e9aa45", "#ebb252", "#edbb62"]

type Props = {
  sheet: Sheet
  wood: string
  dye: string
  width: number
  height: number
  selected: string | null
  ghost: Section | null
  onSelect: (key: string) => void
  onMove: (row: Row, start: number) => void
}

/**
 * The film over the shop clock. Every coat rises wet, shrinks and clears to its dry height; windows hang in the skin of their own coat.
 * One transparent overlay takes all pointers; keys are the step list's.
 */
export function FilmSection(props: Props) {
  const { sheet, width } = props
  const axis = useMemo(() => axisOf(sheet, width - LEFT - 4), [sheet, width])
  const overlay = useOverlay(props, axis)
  const total = axis.width + LEFT + 4
  return (
    <div className="film-section" style={{ overflowX: total > width + 2 ? "auto" : "visible" }}>
      <svg width={total} height={props.height} role="img" aria-label={spoken(sheet)} className="block">
        <g transform={`translate(${LEFT} 0)`}>
          <Clock axis={axis} sheet={sheet} height={props.height} />
          <Film {...props} axis={axis} />
          {overlay.drag && <DragGhost axis={axis} sheet={sheet} minute={overlay.drag.minute} height={props.height} />}
          <rect
            x={0}
            y={AXIS}
            width={axis.width}
            height={props.height - AXIS}
            fill="transparent"
            style={{ touchAction: "pan-y", cursor: "pointer" }}
            {...overlay.handlers}
          />
        </g>
      </svg>
    </div>
  )
}

function axisOf(sheet: Sheet, width: number): Axis {
  const hands = sheet.rows.flatMap((row) => row.hands)
  const ends = sheet.rows.flatMap((row) => [row.hands_end])
  const from = Math.min(sheet.now, ...sheet.rows.map((row) => row.hands_start))
  const to = Math.max(sheet.now + 60, sheet.ready_at ?? 0, sheet.cured_at ?? 0, ...ends)
  return makeAxis({ open: sheet.open, hands, now: sheet.now, from, to, zone: sheet.zone, width })
}

function spoken(sheet: Sheet): string {
  const { section } = sheet
  return `Film on ${section.face}: ${section.layers.length} coats, ${Math.round(section.film_um)} plus or minus ${Math.round(section.sd_um)} micrometres when done. The same as a table with key T.`
}

const Clock = memo(function Clock({ axis, sheet, height }: { axis: Axis; sheet: Sheet; height: number }) {
  const nights = axis.segments.filter((segment) => segment.kind !== "work")
  return (
    <g>
      {nights.map((segment) => (
        <rect key={segment.from} x={segment.x} y={AXIS} width={segment.width} height={height - AXIS} fill="var(--closed)" opacity={0.55} />
      ))}
      <path d={`M0 ${AXIS}H${axis.width}`} stroke="var(--second)" strokeWidth={1.5} />
      {axis.days.map((day) => (
        <g key={day.start}>
          <path d={`M${day.x} 4V${AXIS}`} stroke="var(--firm)" />
          {day.width > 40 && (
            <text x={day.x + 5} y={17} className="axis-day">
              {day.width > 82 ? day.label : day.short}
            </text>
          )}
        </g>
      ))}
      {axis.segments
        .filter((segment) => segment.kind === "break")
        .map((segment) => (
          <text key={segment.from} x={segment.x + segment.width / 2} y={AXIS + 4} textAnchor="middle" className="axis-day">
            {"//"}
          </text>
        ))}
      {axis.ticks.map((tick) => (
        <g key={tick.minute}>
          <path d={`M${tick.x} ${AXIS}v-5`} stroke="var(--second)" />
          <text x={tick.x} y={AXIS - 9} textAnchor="middle" className="axis-tick">
            {tick.label}
          </text>
        </g>
      ))}
      {sheet.elsewhere.map(([from, to]) => (
        <rect key={from} x={axis.x(from)} y={AXIS + 1} width={Math.max(axis.x(to) - axis.x(from), 2)} height={5} fill="var(--firm)" />
      ))}
      {sheet.rows.flatMap((row) =>
        row.hands.map(([from, to]) => (
          <rect
            key={`${row.key}${from}`}
            x={axis.x(from)}
            y={AXIS - 3}
            width={Math.max(axis.x(to) - axis.x(from), 2)}
            height={6}
            fill="var(--ink)"
          />
        )),
      )}
    </g>
  )
})

function Film({ sheet, wood, dye, height, selected, ghost, axis }: Props & { axis: Axis }) {
  const { section } = sheet
  const end = axis.segments.at(-1)?.to ?? sheet.now
  const most =
    Math.max(40, (section.least_um ?? 0) * 1.15, ...section.layers.flatMap((layer) => layer.top.map((point) => point[1] ?? 0))) * 1.12
  const zero = height - WOOD
  const y = (um: number) => zero - (um / most) * (zero - AXIS - 26)
  return (
    <g>
      {umSteps(most).map((um) => (
        <g key={um}>
          {um > 0 && <path d={`M0 ${y(um)}H${axis.width}`} stroke="var(--rule)" strokeDasharray="1 4" />}
          <text x={-6} y={y(um) + 4} textAnchor="end" className="axis-tick">
            {um}
          </text>
        </g>
      ))}
      <text x={-6} y={AXIS + 12} textAnchor="end" className="axis-tick">
        µm
      </text>
      <Wood section={section} wood={wood} dye={dye} axis={axis} zero={zero} end={end} />
      <Layers section={section} axis={axis} y={y} end={end} selected={selected} />
      {section.abrasions.map((abrasion) => (
        <Bite key={abrasion.pass} x1={axis.x(abrasion.from)} x2={axis.x(abrasion.to)} y={y(abrasion.after_um)} />
      ))}
      <Least section={section} axis={axis} y={y} />
      {ghost?.layers.map((layer) => (
        <path
          key={layer.pass}
          d={line(axis, y, layer.top as Point[], layer.top[0]?.[0] ?? 0, end)}
          fill="none"
          stroke="var(--tape-off)"
          strokeWidth={1.8}
          strokeDasharray="5 4"
        />
      ))}
      <NowLine axis={axis} sheet={sheet} zero={zero} />
      <Labels sheet={sheet} axis={axis} y={y} selected={selected} />
    </g>
  )
}

function Wood({
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
      <image href={woodBitmap(wood, section.wood, width, WOOD)} x={0} y={zero} width={width} height={WOOD} preserveAspectRatio="none" />
      {stained && <path d={dyed(axis.x(stained.at), axis.x(end), zero)} fill={dye} opacity={0.86} />}
      {section.stains.map((stain) => (
        <Strip key={stain.pass} strip={stain.strip} axis={axis} y={zero + 5} />
      ))}
      <path d={`M0 ${zero}H${axis.width}`} stroke="#1d2327" strokeWidth={1.4} />
      <text x={axis.width - 8} y={zero + WOOD - 8} textAnchor="end" className="on-wood">
        {wood}, depth squeezed
      </text>
      {stained && (
        <text x={axis.width - 8} y={zero + 34} textAnchor="end" className="on-dye">
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

function fillOf(layer: Layer, index: number): { fill: string; opacity: number } {
  if (layer.look === "amber" || layer.look === "ambering") return { fill: "#c06a12", opacity: 0.86 }
  if (layer.look === "pigmented") return { fill: "#3d6a58", opacity: 1 }
  if (layer.look === "tinted") return { fill: "#7a3418", opacity: 0.8 }
  return { fill: CLEARS[index % 3] ?? "#ebb252", opacity: 0.8 - (index % 3) * 0.05 }
}

const Layers = memo(function Layers({
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
              d={`M${x1} ${y(layer.base_um)}V${y(layer.base_um + layer.wet_um)}l10 4V${y(layer.base_um)}Z`}
              fill="url(#cast)"
              transform="translate(4 0)"
            />
            <path d={band(axis, y, top, below, from, end)} fill={paint.fill} fillOpacity={paint.opacity} />
            {wet > layer.laid_at && <path d={band(axis, y, top, below, from, wet)} fill="url(#milk)" />}
            <path d={line(axis, y, top, from, end)} fill="none" stroke="#4a2f10" strokeWidth={layer.pass === selected ? 2.4 : 1.3} />
            {layer.unbonded && <path d={zigzag(x1, axis.x(end), y(layer.base_um))} fill="none" stroke="var(--stop)" strokeWidth={2} />}
          </g>
        )
      })}
      {section.layers.map((layer) => (
        <Strip key={layer.pass} strip={layer.strip} axis={axis} y={y(layer.base_um + layer.dry_um) + 3} />
      ))}
    </g>
  )
})

/** The window strip of one coat; what is left of it after the next coat is drawn thin. */
export function Strip({ strip, axis, y }: { strip: Layer["strip"]; axis: { x: (minute: number) => number }; y: number }) {
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

/** Where an abrasive bit into the film. */
function Bite({ x1, x2, y }: { x1: number; x2: number; y: number }) {
  const width = Math.max(x2 - x1, 6)
  const teeth = "q1.5 5 3 0t3 0".repeat(Math.max(Math.round(width / 6), 1))
  return <path d={`M${x1} ${y}${teeth}`} fill="none" stroke="var(--ink)" strokeWidth={1.6} />
}

function Least({ section, axis, y }: { section: Section; axis: Axis; y: (um: number) => number }) {
  if (!section.least_um || !section.layers.length) return null
  const from = axis.x(section.layers.at(-1)?.laid_at ?? 0)
  return (
    <path
      data-part="least"
      d={`M${Math.max(from - 30, 0)} ${y(section.least_um)}H${axis.width}`}
      stroke="#1d2327"
      strokeWidth={2}
      strokeDasharray="7 4"
    />
  )
}

function NowLine({ axis, sheet, zero }: { axis: Axis; sheet: Sheet; zero: number }) {
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

function Labels({ sheet, axis, y, selected }: { sheet: Sheet; axis: Axis; y: (um: number) => number; selected: string | null }) {
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
  return (
    <g>
      {placeLabels(wanted, axis.width).map((label) => (
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

function DragGhost({ axis, sheet, minute, height }: { axis: Axis; sheet: Sheet; minute: number; height: number }) {
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

const NEAR = 22
const DRAG = 8

/** Touch and mouse: the nearest start within 22 px is selected; the selected one can be dragged after 8 px. */
function useOverlay({ sheet, selected, onSelect, onMove }: Props, axis: Axis) {
  const [drag, setDrag] = useState<{ row: Row; minute: number } | null>(null)
  const began = useRef<{ x: number; row: Row | null } | null>(null)
  const local = (event: PointerEvent<SVGRectElement>) => event.clientX - event.currentTarget.getBoundingClientRect().left
  const nearest = (x: number) => {
    const [row] = sheet.rows
      .map((found) => ({ found, gap: Math.abs(axis.x(found.work_start) - x) }))
      .sort((one, other) => one.gap - other.gap)
    return row && row.gap <= NEAR ? row.found : null
  }
  const snapped = (x: number) => Math.round(axis.minute(x) / 5) * 5
  return {
    drag,
    handlers: {
      onPointerDown: (event: PointerEvent<SVGRectElement>) => {
        const x = local(event)
        const row = nearest(x)
        began.current = { x, row: row && row.key === selected && row.status === "planned" && !row.inserted ? row : null }
        event.currentTarget.setPointerCapture(event.pointerId)
      },
      onPointerMove: (event: PointerEvent<SVGRectElement>) => {
        const start = began.current
        if (!start?.row) return
        const x = local(event)
        if (drag || Math.abs(x - start.x) > DRAG) setDrag({ row: start.row, minute: snapped(x) })
      },
      onPointerUp: (event: PointerEvent<SVGRectElement>) => {
        if (drag) onMove(drag.row, drag.minute - drag.row.setup_min)
        else {
          const row = nearest(local(event))
          if (row) onSelect(row.key)
        }
        setDrag(null)
        began.current = null
      },
      onPointerCancel: () => {
        setDrag(null)
        began.current = null
      },
    },
  }
}
