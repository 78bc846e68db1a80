import { VERDICTS, type Verdict } from "./verdicts"

export const CELL = { width: 27, height: 23 }
const { width, height } = CELL
const MIDDLE = height / 2
const TEETH = "l3 -5l3 5".repeat(4)

/** Two layers in small: what is there below, what goes over it above, and what is between them. */
export function VerdictMark({ verdict, x = 0, y = 0 }: { verdict: Verdict; x?: number; y?: number }) {
  return (
    <g transform={`translate(${x} ${y})`} data-state={verdict}>
      {verdict !== "unknown" && (
        <rect x={1.5} y={MIDDLE} width={width - 3} height={MIDDLE - 1.5} fill="var(--wood-line)" opacity={0.75} />
      )}
      {["holds", "scuff", "barrier"].includes(verdict) && (
        <rect x={1.5} y={1.5} width={width - 3} height={MIDDLE - 1.5} fill="var(--pore-filled)" />
      )}
      {verdict === "scuff" && (
        <path d={`M1.5 ${MIDDLE + 2.5}${TEETH}`} fill="none" stroke="var(--paper-ink)" strokeWidth={1.4} />
      )}
      {verdict === "barrier" && <path d={`M1.5 ${MIDDLE}h${width - 3}`} stroke="var(--paper-ink)" strokeWidth={4} />}
      {verdict === "wait" && <rect x={1.5} y={1.5} width={width - 3} height={MIDDLE - 1.5} fill="url(#too-soon)" />}
      {verdict === "never" && (
        <path d={`M2 ${MIDDLE - 3}${TEETH}`} fill="none" stroke="var(--stop)" strokeWidth={2.2} />
      )}
      {verdict === "unknown" && <circle cx={width / 2} cy={MIDDLE} r={1.8} fill="var(--ink)" />}
    </g>
  )
}

/** What the marks mean. */
export function VerdictKey() {
  return (
    <ul className="strip-key text-fine text-second" aria-label="Key to the square">
      {VERDICTS.map(([verdict, , words]) => (
        <li key={verdict} className="flex items-center gap-1.5">
          <svg width={width} height={height} aria-hidden="true">
            <VerdictMark verdict={verdict} />
          </svg>
          {words}
        </li>
      ))}
    </ul>
  )
}
