/**
 * Shared fills: too soon = dots, open = tape with ribs, shut = hatch. They keep their meaning in print and forced
 * colours.
 */
export function Patterns() {
  return (
    <svg width="0" height="0" className="absolute" aria-hidden="true">
      <defs>
        <pattern id="too-soon" width="5" height="5" patternUnits="userSpaceOnUse">
          <rect width="5" height="5" fill="var(--wet)" />
          <circle cx="1.2" cy="1.2" r="0.85" fill="var(--paper-ink)" />
          <circle cx="3.7" cy="3.7" r="0.85" fill="var(--paper-ink)" />
        </pattern>
        <pattern id="open" width="4" height="14" patternUnits="userSpaceOnUse">
          <rect width="4" height="14" fill="var(--tape)" />
          <path d="M1 0v14" stroke="var(--tape-pale)" strokeWidth="1" />
        </pattern>
        <pattern id="shut" width="9" height="9" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
          <rect width="9" height="9" fill="var(--wet)" />
          <path d="M2.2 0v9" stroke="var(--paper-ink)" strokeWidth="3.6" />
        </pattern>
        <pattern id="rounds" width="8" height="8" patternUnits="userSpaceOnUse" patternTransform="rotate(-45)">
          <path d="M1 0v8" stroke="var(--firm)" strokeWidth="1" />
        </pattern>
        <pattern id="found" width="34" height="18" patternUnits="userSpaceOnUse">
          <rect width="34" height="18" fill="var(--found)" />
          <path
            d="M4 0l3 7-5 6 4 5M7 7l9 2 5-6 6 2 7-3M16 9l3 9M27 5l2 8 5 2M0 13l2 0"
            fill="none"
            stroke="var(--found-line)"
            strokeWidth="0.9"
          />
        </pattern>
        <linearGradient id="milk" x1="0" x2="1">
          <stop offset="0" stopColor="var(--wet)" stopOpacity="0.98" />
          <stop offset="0.45" stopColor="var(--wet-shade)" stopOpacity="0.72" />
          <stop offset="1" stopColor="var(--wet-end)" stopOpacity="0" />
        </linearGradient>
        <linearGradient id="cast" x1="0" x2="1">
          <stop offset="0" stopColor="var(--cast-stop)" stopOpacity="0.3" />
          <stop offset="1" stopColor="var(--cast-stop)" stopOpacity="0" />
        </linearGradient>
      </defs>
    </svg>
  )
}

const FILLS: Record<string, string> = {
  too_soon: "url(#too-soon)",
  open: "url(#open)",
  shut: "url(#shut)",
  scuffed: "var(--wet)",
}
export const stripFill = (state: string): string => FILLS[state] ?? "none"
export const stripStroke = (state: string): string =>
  state === "open" || state === "scuffed" ? "var(--tape-ink)" : "var(--paper-ink)"

const STATE_WORDS: Record<string, string> = {
  too_soon: "too soon",
  open: "open",
  shut: "shut, scuff first",
  scuffed: "open after scuffing",
}

/** The key to the window strips; always in sight. */
export function StripKey({ also }: { also?: { label: string; swatch: string } }) {
  return (
    <ul className="strip-key text-fine text-second" aria-label="Key to the windows">
      {Object.entries(STATE_WORDS).map(([state, words]) => (
        <li key={state} className="flex items-center gap-1.5">
          <svg width="24" height="13" aria-hidden="true">
            <rect
              x="0.75"
              y="0.75"
              width="22.5"
              height="11.5"
              fill={stripFill(state)}
              stroke={stripStroke(state)}
              strokeWidth={state === "scuffed" ? 1.6 : 1}
            />
          </svg>
          {words}
        </li>
      ))}
      {also && (
        <li className="flex items-center gap-1.5">
          <span style={{ background: also.swatch, width: 24, height: 5 }} />
          {also.label}
        </li>
      )}
    </ul>
  )
}
