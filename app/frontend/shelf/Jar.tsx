const FILL: Record<string, string> = {
  clear: "var(--liquid-clear)",
  milk: "var(--liquid-milk)",
  ambering: "var(--liquid-ambering)",
  tinted: "var(--liquid-tinted)",
  pigmented: "var(--liquid-pigmented)",
}

type Props = { fill: number; look: string; state: string; kept?: boolean; over?: boolean }

/**
 * What stands on the shelf: a sealed can, an opened can, a jar of a mix; filled as far as it is, hatched when past its
 * date.
 */
export function Jar({ fill, look, state, kept, over }: Props) {
  const can = state === "sealed" || state === "opened"
  const level = Math.max(0, Math.min(1, fill)) * 66
  return (
    <svg viewBox="0 0 74 96" className="shelf-jar" aria-hidden="true">
      <path d="M64 30l9 7v56h-9z" fill="url(#cast)" />
      {can ? (
        <>
          <rect x="8" y="16" width="56" height="76" fill="var(--lit)" stroke="var(--ink)" strokeWidth="1.6" />
          <rect x="9" y={91 - level} width="54" height={level} fill={FILL[look] ?? FILL.clear} />
          <path d="M8 22h56M8 86h56" stroke="var(--firm)" />
          {state === "sealed" ? (
            <path d="M6 10h60v7H6z" fill="var(--firm)" stroke="var(--ink)" strokeWidth="1.4" />
          ) : (
            <path d="M6 12l58-8 1.5 6L8 18z" fill="var(--rule)" stroke="var(--ink)" strokeWidth="1.4" />
          )}
        </>
      ) : (
        <>
          <path
            d="M14 18h44v6l6 9v53q0 6-6 6H14q-6 0-6-6V33l6-9z"
            fill="var(--lit)"
            stroke="var(--ink)"
            strokeWidth="1.6"
          />
          <path d={`M9 ${91 - level}h54V86q0 5-5 5H14q-5 0-5-5z`} fill={FILL[look] ?? FILL.clear} />
          <path
            d="M12 9h48v9H12z"
            fill={state === "catalysed" ? "var(--resin)" : "var(--rule)"}
            stroke="var(--ink)"
            strokeWidth="1.4"
          />
        </>
      )}
      {over && <rect x="9" y={91 - level} width="54" height={level} fill="url(#shut)" opacity="0.55" />}
      <rect x="18" y="46" width="36" height="22" fill="var(--wet)" stroke="var(--paper-ink)" />
      {kept && <path d="M40 44v18l4-4 4 4V44z" fill="var(--ink)" />}
      <path d="M22 53h20M22 58h26M22 63h14" stroke="var(--paper-third)" strokeWidth="1.4" />
    </svg>
  )
}
