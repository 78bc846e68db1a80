import { type ReactNode, useCallback, useEffect, useMemo, useRef } from "react"
import { drawing } from "@/components/Broken"
import { useMeasures } from "@/lib/units"
import type { Chance, Row, Section, Sheet } from "@/types"
import { AirStrip } from "./AirStrip"
import { type Axis, makeAxis } from "./axis"
import { ChanceDots } from "./ChanceDots"
import { Clock } from "./Clock"
import { filmSteps, outline, type Point } from "./film"
import { AXIS, LEFT, RIGHT, WOOD } from "./frame"
import { Bite, Layers, Least } from "./Layers"
import { DragGhost, Labels, NowLine } from "./Notes"
import { Rounds } from "./Rounds"
import { poresOf } from "./surface"
import { useOverlay } from "./useOverlay"
import { Wood } from "./Wood"

type Props = {
  sheet: Sheet
  wood: string
  /** Colour that a step leaves, where the looks know it. */
  colour: (step: string) => string | undefined
  /** Colour of a stain that the looks do not know. */
  dye: string
  width: number
  height: number
  selected: string | null
  ghost: Section | null
  chance: Chance | null
  axis: Axis
  /** What stands under the film on the same clock: its height in px, and how it is drawn from its top down. */
  foot?: { height: number; draw: (top: number) => ReactNode }
  /** How far the clock was scrolled, px. */
  onScroll: (left: number) => void
  onSelect: (key: string) => void
  onMove: (row: Row, start: number) => void
}

/**
 * The film over the shop clock. Every coat rises wet, shrinks and clears to its dry height; windows hang in the skin of
 * their own coat. One transparent overlay takes all pointers; keys are the step list's.
 */
export const FilmSection = drawing("The film", Drawn)

function Drawn(props: Props) {
  const { sheet, width, height, chance, axis, foot } = props
  const overlay = useOverlay(props, axis)
  const total = axis.width + LEFT + RIGHT
  const scroller = useScroller(axis, sheet.now, total > width + 2, props.onScroll)
  const whole = height + (foot?.height ?? 0)
  return (
    <div className="film-section" {...scroller}>
      <svg width={total} height={whole} role="img" aria-label={spoken(sheet)} className="block">
        <g transform={`translate(${LEFT} 0)`}>
          <Clock axis={axis} sheet={sheet} height={height} />
          <AirStrip axis={axis} sheet={sheet} />
          <Film {...props} />
          {foot?.draw(height)}
          {chance && <ChanceDots chance={chance} axis={axis} base={height - 24} />}
          {overlay.drag && (
            <DragGhost axis={axis} sheet={sheet} row={overlay.drag.row} minute={overlay.drag.minute} height={whole} />
          )}
          <rect
            x={0}
            y={AXIS}
            width={axis.width}
            height={whole - AXIS}
            fill="transparent"
            ref={overlay.surface}
            className="cursor-pointer"
            data-overlay
            {...overlay.handlers}
          />
        </g>
      </svg>
    </div>
  )
}

/** Where there is more clock than room: begins at now, and fades at the edges behind which it goes on. */
function useScroller(axis: Axis, now: number, scrolls: boolean, onScroll: (left: number) => void) {
  const box = useRef<HTMLDivElement>(null)
  const start = axis.x(now) - 60
  const tell = () => {
    const element = box.current
    if (!element) return
    const { scrollLeft, scrollWidth, clientWidth } = element
    const more = [scrollLeft > 4 && "left", scrollLeft + clientWidth < scrollWidth - 4 && "right"]
    element.dataset.more = scrolls ? more.filter(Boolean).join(" ") : ""
    onScroll(scrollLeft)
  }
  // biome-ignore lint/correctness/useExhaustiveDependencies: once for each time that the clock begins or ceases to scroll
  useEffect(() => {
    if (box.current && scrolls) box.current.scrollLeft = start
    tell()
  }, [scrolls])
  return { ref: box, onScroll: scrolls ? tell : undefined, style: { overflowX: scrolls ? "auto" : "visible" } as const }
}

/** The clock of a schedule's film, as wide as there is room, px. */
export function filmAxis(sheet: Sheet, width: number): Axis {
  const hands = sheet.rows.flatMap((row) => row.hands)
  const ends = sheet.rows.flatMap((row) => [row.hands_end])
  const from = Math.min(sheet.now, ...sheet.rows.map((row) => row.hands_start))
  const to = Math.max(sheet.now + 60, sheet.ready_at ?? 0, sheet.cured_at ?? 0, ...ends)
  return makeAxis({
    open: sheet.open,
    hands,
    now: sheet.now,
    from,
    to,
    zone: sheet.zone,
    width: width - LEFT - RIGHT,
  })
}

function spoken(sheet: Sheet): string {
  const { section } = sheet
  return `Film on ${section.face}: ${section.layers.length} coats, ${Math.round(section.film_um)} plus or minus ${Math.round(section.sd_um)} micrometres when done. The same as a table with key T.`
}

function Film({ sheet, wood, colour, dye, height, selected, ghost, axis }: Props) {
  const { section } = sheet
  const { film } = useMeasures()
  const end = axis.segments.at(-1)?.to ?? sheet.now
  const most =
    Math.max(
      40,
      (section.least_um ?? 0) * 1.15,
      ...section.layers.flatMap((layer) => layer.top.map((point) => point[1] ?? 0)),
    ) * 1.12
  const zero = height - WOOD
  const pxPerUm = (zero - AXIS - 26) / most
  const y = useCallback((um: number) => zero - um * pxPerUm, [zero, pxPerUm])
  const pores = useMemo(() => poresOf(axis.width, section.pores.depth_um), [axis.width, section.pores.depth_um])
  return (
    <g>
      {filmSteps(film.shown(most))
        .map(film.stored)
        .map((um) => (
          <g key={um}>
            {um > 0 && <path d={`M0 ${y(um)}H${axis.width}`} stroke="var(--rule)" strokeDasharray="1 4" />}
            <text x={-6} y={y(um) + 4} textAnchor="end" className="axis-tick">
              {film.number(um)}
            </text>
          </g>
        ))}
      <text x={-6} y={AXIS + 12} textAnchor="end" className="axis-tick">
        {film.unit}
      </text>
      <Wood {...{ section, wood, colour, dye, pores, axis, zero, end }} />
      <Layers {...{ section, axis, y, pxPerUm, pores, colour, end, selected }} />
      {section.abrasions.map((abrasion) => (
        <Bite key={abrasion.pass} x1={axis.x(abrasion.from)} x2={axis.x(abrasion.to)} y={y(abrasion.after_um)} />
      ))}
      <Least section={section} axis={axis} y={y} />
      {ghost?.layers.map((layer) => (
        <path
          key={layer.pass}
          d={outline(axis, y, layer.top as Point[], layer.top[0]?.[0] ?? 0, end)}
          fill="none"
          stroke="var(--tape-off)"
          strokeWidth={1.8}
          strokeDasharray="5 4"
        />
      ))}
      <Rounds {...{ sheet, axis, zero }} />
      <NowLine axis={axis} sheet={sheet} zero={zero} />
      <Labels sheet={sheet} axis={axis} y={y} selected={selected} />
    </g>
  )
}
