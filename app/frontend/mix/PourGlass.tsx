import { drawing } from "@/components/Broken"
import { mass, type System } from "@/lib/units"
import type { Pour } from "@/types"
import { LIQUID } from "./PotDrawing"

const HEIGHT = 380
const TUBE = { x: 16, width: 64, top: 20, bottom: 356 }

type Props = { pour: Pour; live: number; resolution: number; system: System; silent: boolean }

/**
 * The current pour magnified: the band that is accepted is tape, what is in rises towards it. Past the band it is
 * hatched.
 */
export const PourGlass = drawing("The pour", Drawn)

function Drawn({ pour, live, resolution, system, silent }: Props) {
  const band = Math.max(pour.high_add_g - pour.low_add_g, resolution)
  const last = Math.max(pour.high_add_g + band * 1.2, pour.add_g * 1.1, live * 1.02)
  // The last stretch before the target takes half of the glass, so that the band is never a hairline.
  const knee = Math.max(pour.low_add_g - band * 1.6, pour.add_g * 0.4, 0)
  const middle = (TUBE.top + TUBE.bottom) / 2 + 30
  const y = (grams: number) =>
    grams <= knee || knee === 0
      ? TUBE.bottom - (knee ? grams / knee : 0) * (TUBE.bottom - middle)
      : middle - ((grams - knee) / (last - knee)) * (middle - TUBE.top)
  const at = Math.min(Math.max(live, 0), last)
  const right = TUBE.x + TUBE.width
  return (
    <svg
      viewBox={`0 0 196 ${HEIGHT}`}
      className="pour-glass"
      role="img"
      aria-label={`${pour.name}: ${mass(live, system, resolution)} of ${mass(pour.add_g, system, resolution)}`}
    >
      <rect
        x={TUBE.x}
        y={TUBE.top}
        width={TUBE.width}
        height={TUBE.bottom - TUBE.top}
        fill="var(--lit)"
        stroke="var(--firm)"
      />
      <rect
        x={TUBE.x}
        y={y(pour.high_add_g)}
        width={TUBE.width + 18}
        height={y(pour.low_add_g) - y(pour.high_add_g)}
        fill="url(#open)"
        stroke="var(--tape-ink)"
      />
      <rect
        data-part="live"
        x={TUBE.x + 10}
        y={y(at)}
        width={TUBE.width - 20}
        height={Math.max(TUBE.bottom - y(at), 0)}
        fill={LIQUID[pour.role]}
        stroke="var(--film-line)"
        opacity={silent ? 0.35 : 1}
      />
      {live > pour.high_add_g && (
        <rect
          x={TUBE.x + 10}
          y={y(at)}
          width={TUBE.width - 20}
          height={y(pour.high_add_g) - y(at)}
          fill="url(#shut)"
          stroke="var(--stop)"
          strokeWidth={2}
        />
      )}
      <path d={`M${TUBE.x} ${y(pour.add_g)}H${right + 18}`} stroke="var(--tape-ink)" strokeWidth={2.5} />
      <path d={`M${TUBE.x} ${middle}h7m-7 0`} stroke="var(--firm)" />
      {[
        [pour.high_add_g, "most"],
        [pour.add_g, "target"],
        [pour.low_add_g, "least"],
      ].map(([grams, word], index) => (
        <text
          key={word}
          x={right + 24}
          y={clampLabel(y(Number(grams)), index, y(pour.add_g)) + 5}
          className={word === "target" ? "glass-target" : "glass-label"}
        >
          {mass(Number(grams), system, resolution)}
        </text>
      ))}
      <path d={`M${TUBE.x - 2} ${y(at)}l-12-6v12z`} fill="var(--ink)" />
    </svg>
  )
}

/** Labels of a narrow band move apart. */
function clampLabel(y: number, index: number, target: number): number {
  if (index === 0) return Math.min(y, target - 24)
  return index === 2 ? Math.max(y, target + 24) : y
}
