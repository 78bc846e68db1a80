import type { OverAnswer } from "@/types"

const WIDTH = 346
const WOOD = 84
const LOWER = 56
const UPPER = 22
const END = 322
const TEETH = "l6 -7l6 7".repeat(26)
/** Drops of wax or oil on what is there. */
const DROPS = `M8 ${LOWER + 2}${"q8 -13 16 0m13 0".repeat(11)}`

/** As many letters as there is room for. */
const LETTERS = 46
const short = (name: string) => (name.length > LETTERS ? `${name.slice(0, LETTERS - 1)}…` : name)

/** The two as they lie on the wood, and what is between them. */
export function Joint({ answer, residue }: { answer: OverAnswer; residue: string }) {
  const { verdict, lower, upper } = answer
  const lifted = verdict === "never" || verdict === "wait" || verdict === "unknown"
  const top = lifted ? UPPER - 14 : UPPER
  const foot = lifted ? LOWER - 18 : LOWER
  return (
    <svg width={WIDTH} height={108} role="img" aria-label={`${upper} over ${lower}`} className="block">
      <rect x={0} y={WOOD} width={END} height={22} fill="var(--wood-block)" />
      <path d={`M0 ${WOOD + 12}q80 -8 160 0t162 -2`} fill="none" stroke="var(--wood-line)" />
      <rect x={0} y={LOWER} width={END} height={WOOD - LOWER} fill="var(--found)" opacity={0.9} />
      {residue !== "none" && <path d={DROPS} fill="var(--resin)" data-part="residue" />}
      <rect
        x={0}
        y={top}
        width={END}
        height={foot - top}
        fill={verdict === "wait" ? "url(#too-soon)" : verdict === "unknown" ? "none" : "var(--pore-filled)"}
        stroke={lifted ? "var(--ink)" : "none"}
        strokeDasharray={verdict === "never" ? undefined : "5 4"}
        opacity={verdict === "wait" ? 0.55 : 1}
      />
      {verdict === "scuff" && (
        <path d={`M0 ${LOWER + 4}${TEETH}`} fill="none" stroke="var(--paper-ink)" strokeWidth={1.6} />
      )}
      {verdict === "barrier" && (
        <rect x={0} y={LOWER - 5} width={END} height={9} fill="var(--paper-ink)" data-part="barrier" />
      )}
      {verdict === "never" && <path d={`M0 ${LOWER - 4}${TEETH}`} fill="none" stroke="var(--stop)" strokeWidth={2.2} />}
      {verdict === "holds" && <path d={`M0 ${LOWER}H${END}`} stroke="var(--paper-ink)" strokeWidth={1} opacity={0.5} />}
      <text x={10} y={(top + foot) / 2 + 6} className="joint-name">
        {short(upper)}
      </text>
      <text x={10} y={(LOWER + WOOD) / 2 + 6} className="joint-name">
        {short(lower)}
      </text>
    </svg>
  )
}
