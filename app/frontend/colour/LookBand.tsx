import type { Axis } from "@/drawing/axis"
import type { Looks, Sheet } from "@/types"
import { inkOn } from "./ink"
import { spread } from "./spread"

export const BAND = 30
const LEAST = 18

type Props = {
  looks: Looks
  sheet: Sheet
  step: string | null
  light: string
  axis: Axis
  /** Top of the band in the drawing, px. */
  top: number
}

type Swatch = { key: string; words: string; hex: string | undefined; lightness: number }

/**
 * The look on the clock of the film: each computed colour begins at the hour its step ends; what was read on a board
 * and what light makes of it stand at the end.
 */
export function LookBand({ looks, sheet, step, light, axis, top }: Props) {
  const after = ends(looks, light)
  const room = after.reduce((sum, swatch) => sum + swatch.width, 0)
  const edge = axis.width - room
  const starts = spread(
    looks.stages.map((stage) => axis.x(endOf(sheet, stage.step, stage.coat))),
    edge,
    LEAST,
  )
  const number = (id: string | null) => sheet.document.steps.findIndex((candidate) => candidate.id === id) + 1
  return (
    <g data-part="look" transform={`translate(0 ${top})`}>
      {looks.stages.map((stage, index) => {
        const x = starts[index] ?? 0
        const width = (starts[index + 1] ?? edge) - x
        const words = stage.step ? String(number(stage.step)) : `bare ${looks.wood}`
        return (
          <Part
            key={`${stage.step} ${stage.coat}`}
            x={x}
            width={width}
            on={stage.step !== null && stage.step === step}
            swatch={{ key: words, words, hex: stage.hexes[light], lightness: stage.lab[0] }}
          />
        )
      })}
      {after.map((swatch, index) => (
        <Part
          key={swatch.key}
          x={edge + after.slice(0, index).reduce((sum, before) => sum + before.width, 0)}
          width={swatch.width}
          outlined={swatch.key === "read"}
          swatch={swatch}
        />
      ))}
      <path d={`M0 0H${axis.width}`} stroke="var(--ink)" strokeWidth={1} />
    </g>
  )
}

function Part(props: { x: number; width: number; on?: boolean; outlined?: boolean; swatch: Swatch }) {
  const { x, width, on, outlined, swatch } = props
  const shown = swatch.words.length * 6.4 + 8 <= width ? swatch.words : swatch.words.split(" ")[0]
  return (
    <g data-state={on ? "on" : "rest"}>
      <rect x={x} width={width} height={BAND} fill={swatch.hex} />
      {outlined && (
        <rect
          x={x + 1.5}
          y={1.5}
          width={width - 3}
          height={BAND - 3}
          fill="none"
          stroke="var(--paper-ink)"
          strokeWidth={3}
        />
      )}
      {on && <rect x={x} y={BAND - 5} width={width} height={5} fill="var(--lit)" stroke="var(--paper-ink)" />}
      {shown && shown.length * 6.4 + 4 <= width && (
        <text x={x + 5} y={19} className="look-words" fill={inkOn(swatch.lightness)}>
          {shown}
        </text>
      )}
    </g>
  )
}

/** A stage begins when the hands of its pass end; the bare wood at the left edge. */
function endOf(sheet: Sheet, step: string | null, coat: number | null): number {
  if (!step) return Number.NEGATIVE_INFINITY
  const passes = sheet.rows.filter((row) => row.step === step && !row.inserted && (coat === null || row.coat === coat))
  return Math.max(...passes.map((row) => row.work_end))
}

const widthOf = (words: string) => Math.max(44, words.length * 6.6 + 12)

function ends({ read, later }: Looks, light: string): (Swatch & { width: number })[] {
  return [...(read ? [{ ...read, words: "read" }] : []), ...later].map(({ words, hexes, lab }) => ({
    key: words,
    words,
    hex: hexes[light],
    lightness: lab[0],
    width: widthOf(words),
  }))
}
