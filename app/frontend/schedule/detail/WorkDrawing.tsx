import { seeded } from "@/drawing/seeded"
import { type Measure, useMeasures } from "@/lib/units"
import type { Row, Rung } from "@/types"

const WIDE = 48
const HIGH = 30
/** Pixels of the drawing for one micrometre of grain. */
const SCALE = 0.16

/** What the work of a step looks like, where a picture says more: the rungs of a ladder, the pores that fill. */
export function WorkDrawing({ row }: { row: Row }) {
  return (
    <>
      {row.rungs.length > 0 && <Ladder rungs={row.rungs} />}
      {row.pores && <Pores before={row.pores[0] ?? 0} after={row.pores[1] ?? 0} />}
    </>
  )
}

/** Rungs one below the other, each with its grain to one scale, what it takes off and the sheen that is there then. */
function Ladder({ rungs }: { rungs: Rung[] }) {
  const { film } = useMeasures()
  return (
    <section aria-label="Ladder" className="ladder">
      <h3 className="text-head">
        {rungs.length === 1 ? "One rung" : `${rungs.length} rungs`}
        <span className="text-second text-fine"> grain to scale</span>
      </h3>
      <ol>
        {rungs.map((rung, index) => (
          // biome-ignore lint/suspicious/noArrayIndexKey: the same paper may come twice
          <li key={`${rung.id}-${index}`}>
            <svg viewBox={`0 0 ${WIDE} ${HIGH}`} width={WIDE} height={HIGH} aria-hidden="true">
              <rect width={WIDE} height={HIGH} className="ladder-ground" />
              {grains(rung.mean_um, index).map(([x, y, r]) => (
                <circle key={`${x}-${y}`} cx={x} cy={y} r={r} className="ladder-grain" />
              ))}
            </svg>
            <b>{rung.words}</b>
            <b>{rung.sheen_gu === null ? "" : `${Math.round(rung.sheen_gu)} GU`}</b>
            <span className="text-second text-fine">{says(rung, film)}</span>
          </li>
        ))}
      </ol>
    </section>
  )
}

/** "18.3 µm, takes 2 µm, matte" */
const says = (rung: Rung, film: Measure): string =>
  [
    `${rung.mean_um} µm`,
    rung.takes_um > 0 && `takes ${film.text(rung.takes_um, 1)}`,
    rung.sheen && `${rung.sheen}${rung.hazy ? ", near hazy" : ""}`,
  ]
    .filter(Boolean)
    .join(", ")

/** Grains of a size, strewn so that they cover a like share of the ground; the finest are dust. */
function grains(mean_um: number, seed: number): [number, number, number][] {
  const next = seeded(Math.round(mean_um * 100) + seed)
  const radius = Math.max((mean_um * SCALE) / 2, 0.35)
  const count = Math.min(Math.round((WIDE * HIGH * 0.34) / (Math.PI * radius * radius)), 260)
  return Array.from({ length: count }, () => {
    const size = radius * (0.75 + next() * 0.5)
    return [round(size + next() * (WIDE - 2 * size)), round(size + next() * (HIGH - 2 * size)), round(size)]
  })
}

const round = (value: number) => Math.round(value * 100) / 100

const PORES = [18, 62, 112, 156, 204]

/** Pores in section, full as far as they are before this step and after it. */
function Pores({ before, after }: { before: number; after: number }) {
  const percent = (share: number) => `${Math.round(share * 100)} %`
  return (
    <section aria-label="Pores" className="pores">
      <h3 className="text-head">
        Pores {percent(before)} full, then {percent(after)}
      </h3>
      <svg viewBox="0 0 232 74" role="img" aria-label={`Pores ${percent(after)} full after this step`}>
        <path
          d={`M0 10${PORES.map((x) => `H${x}c2 26 4 46 8 46s6 -20 8 -46`).join("")}H232V74H0Z`}
          className="pores-wood"
        />
        {PORES.map((x) => (
          <g key={x}>
            <path d={trench(x, after)} className="pores-new" />
            <path d={trench(x, before)} className="pores-old" />
          </g>
        ))}
      </svg>
      <p className="text-second text-fine">Closed from 90 % on. A look against the light decides.</p>
    </section>
  )
}

/** A pore filled from its ground up to a share of its depth. */
function trench(x: number, share: number): string {
  if (share <= 0) return ""
  const top = 56 - 46 * Math.min(share, 1)
  const half = 8 * Math.sqrt(Math.min(share, 1))
  const [left, right, y] = [x + 8 - half, x + 8 + half, top].map(round)
  return `M${left} ${y}Q${x + 5} 56 ${x + 8} 56Q${x + 11} 56 ${right} ${y}Z`
}
