/** Octagon for a stop, triangle for a caution, a ruled square for a note: told by shape, not by colour alone. */
export function LevelMark({ level, size = 24 }: { level: string; size?: number }) {
  if (level === "stop")
    return (
      <svg className="step-mark" width={size} height={size} viewBox="0 0 24 24" role="img" aria-label="Stop">
        <path d="M7.5 1.5h9l6 6v9l-6 6h-9l-6-6v-9z" fill="var(--mark-stop)" />
        <path d="M6 12h12" stroke="var(--white)" strokeWidth="3.5" />
      </svg>
    )
  if (level === "caution")
    return (
      <svg className="step-mark" width={size} height={size} viewBox="0 0 24 24" role="img" aria-label="Caution">
        <path d="M12 2.5 22.5 21h-21z" fill="none" stroke="var(--caution)" strokeWidth="2.2" strokeLinejoin="round" />
        <path d="M12 9v6M12 17v2" stroke="var(--caution)" strokeWidth="2.4" />
      </svg>
    )
  return (
    <svg className="step-mark" width={size} height={size} viewBox="0 0 24 24" role="img" aria-label="Note">
      <path d="M4 4h16v16H4z" fill="none" stroke="var(--second)" strokeWidth="1.8" />
      <path d="M8 9h8M8 13h8" stroke="var(--second)" strokeWidth="1.8" />
    </svg>
  )
}

export function Tick({ size = 18 }: { size?: number }) {
  return (
    <svg width={size} height={size} viewBox="0 0 18 18" role="img" aria-label="done">
      <path d="M2.5 9.5 7 14 15.5 4" fill="none" stroke="currentColor" strokeWidth="2.2" />
    </svg>
  )
}
