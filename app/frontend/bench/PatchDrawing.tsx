import { drawing } from "@/components/Broken"
import type { Patch } from "@/types"

const WIDTH = 520
const PLAN = { x: 72, y: 72, r: 66 }
const SECTION = { left: 168, right: 512, wood: 116, film: 44 }

/**
 * A spot that is cut out and patched: from above with the rings that stay, and cut through the middle, film by film,
 * heights drawn larger than they are.
 */
export const PatchDrawing = drawing("The patch", Drawn)

function Drawn({ patch }: { patch: Patch }) {
  const reach = patch.patch_mm / 2
  const plan = (mm: number) => (mm / reach) * PLAN.r
  const middle = (SECTION.left + SECTION.right) / 2
  const x = (mm: number) => middle + (mm / reach) * ((SECTION.right - SECTION.left) / 2)
  const whole = patch.rings.reduce((sum, ring) => sum + ring.um, 0) || 1
  const steps = patch.rings.reduce<{ from: number; to: number; bottom: number; top: number; line: boolean }[]>(
    (all, ring) => {
      const bottom = all.at(-1)?.top ?? SECTION.wood
      all.push({
        from: ring.from_mm,
        to: ring.to_mm,
        bottom,
        top: bottom - (ring.um / whole) * SECTION.film,
        line: ring.line,
      })
      return all
    },
    [],
  )
  const surface = [
    ...[...steps].reverse().map((step) => [-step.to, step.top]),
    [-patch.spot_mm / 2, SECTION.wood],
    [patch.spot_mm / 2, SECTION.wood],
    ...steps.map((step) => [step.to, step.top]),
  ] as [number, number][]
  const height = steps.at(-1)?.top ?? SECTION.wood
  const over = [[-reach, height], ...surface, [reach, height]] as [number, number][]
  const path = (points: [number, number][], up = 0) => points.map(([mm, y]) => `${x(mm)},${y - up}`).join(" ")
  return (
    <svg viewBox={`0 0 ${WIDTH} 148`} className="patch-drawing" role="img" aria-label={patch.words}>
      <circle
        cx={PLAN.x}
        cy={PLAN.y}
        r={PLAN.r}
        fill="var(--wet)"
        stroke={patch.blends ? "var(--tape-ink)" : "var(--stop)"}
        strokeDasharray="4 3"
      />
      <circle cx={PLAN.x} cy={PLAN.y} r={plan(patch.cut_mm / 2)} fill="var(--clear-2)" stroke="var(--film-line)" />
      {[...steps].reverse().map((step) => (
        <circle
          key={step.from}
          cx={PLAN.x}
          cy={PLAN.y}
          r={plan(step.from)}
          fill="none"
          stroke={step.line && !patch.blends ? "var(--stop)" : "var(--film-line)"}
          strokeWidth={step.line && !patch.blends ? 2.4 : 1}
        />
      ))}
      <rect
        x={SECTION.left}
        y={SECTION.wood}
        width={SECTION.right - SECTION.left}
        height={26}
        fill="var(--wood-block)"
        stroke="var(--film-line)"
      />
      {steps.map((step) =>
        [-1, 1].map((side) => (
          <polygon
            key={`${side}${step.from}`}
            points={path([
              [side * step.from, step.bottom],
              [side * step.to, step.top],
              [side * reach, step.top],
              [side * reach, step.bottom],
            ])}
            fill="var(--clear-2)"
            stroke="var(--film-line)"
          />
        )),
      )}
      <polygon
        points={`${path(over)} ${path([...over].reverse(), 9)}`}
        fill="var(--wet)"
        fillOpacity="0.75"
        stroke="var(--tape-ink)"
      />
      {!patch.blends &&
        steps
          .filter((step) => step.line)
          .flatMap((step) =>
            [-1, 1].map((side) => (
              <line
                key={`${side}${step.from}`}
                x1={x(side * step.from)}
                x2={x(side * step.from)}
                y1={26}
                y2={step.bottom}
                stroke="var(--stop)"
                strokeWidth="2.4"
              />
            )),
          )}
      <text x={middle} y={18} textAnchor="middle" className="patch-words">
        {patch.blends ? "melts together" : `${patch.lines} rings`}, {Math.round(patch.patch_mm)} mm across
      </text>
    </svg>
  )
}
