/** Set the wet film by touching a tooth of a wet-film comb. Left and right go by one tooth, up and down by 5 µm. */
export function CombControl({
  value,
  onChange,
  near,
  pending,
  disabled,
}: {
  value: number
  onChange: (um: number) => void
  near?: (um: number) => void
  pending: boolean
  disabled: boolean
}) {
  const step = value <= 40 ? 5 : 10
  const first = Math.max(step, Math.round((value - 3 * step) / step) * step)
  const teeth = Array.from({ length: 7 }, (_, index) => first + index * step)
  const nearest = teeth.reduce((best, um) => (Math.abs(um - value) < Math.abs(best - value) ? um : best), first)
  return (
    <div
      className="wet-comb"
      role="radiogroup"
      aria-label="Wet film comb, µm"
      onKeyDown={(event) => {
        const by = { ArrowUp: 5, ArrowRight: step, ArrowDown: -5, ArrowLeft: -step }[event.key]
        if (by === undefined || disabled || event.shiftKey) return
        event.preventDefault()
        event.stopPropagation()
        onChange(Math.min(Math.max(value + by, 5), 500))
      }}
    >
      <div className="comb-spine text-fine" aria-hidden="true">
        touch a tooth
      </div>
      <div className="comb-teeth">
        {teeth.map((um) => (
          <button
            key={um}
            type="button"
            role="radio"
            aria-checked={um === value}
            tabIndex={um === nearest ? 0 : -1}
            disabled={disabled}
            className={`comb-tooth ${pending && um === value ? "ui-pending" : ""}`}
            data-state={um === value ? "on" : um < value ? "wet" : "dry"}
            onClick={() => onChange(um)}
            onPointerEnter={() => um !== value && near?.(um)}
          >
            <span style={{ height: 62 - (um - first) * (26 / (6 * step)) }}>{um}</span>
          </button>
        ))}
      </div>
      <div className="comb-film" style={{ height: 30 }} aria-hidden="true" />
      <div className="comb-wood" aria-hidden="true" />
    </div>
  )
}
