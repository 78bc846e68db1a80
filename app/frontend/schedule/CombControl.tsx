/** Set the wet film by touching a tooth of a wet-film comb. Arrow keys move by one tooth, Shift and arrows by 5 µm. */
export function CombControl({
  value,
  onChange,
  pending,
  disabled,
}: {
  value: number
  onChange: (um: number) => void
  pending: boolean
  disabled: boolean
}) {
  const step = value <= 40 ? 5 : 10
  const first = Math.max(step, Math.round((value - 3 * step) / step) * step)
  const teeth = Array.from({ length: 7 }, (_, index) => first + index * step)
  return (
    <div
      className="comb"
      role="slider"
      tabIndex={disabled ? -1 : 0}
      aria-label="Wet film"
      aria-valuemin={1}
      aria-valuemax={500}
      aria-valuenow={value}
      aria-valuetext={`${value} micrometres wet`}
      aria-disabled={disabled}
      onKeyDown={(event) => {
        const by = { ArrowUp: 5, ArrowRight: step, ArrowDown: -5, ArrowLeft: -step }[event.key]
        if (by === undefined || disabled) return
        event.preventDefault()
        onChange(Math.min(Math.max(value + by, 1), 500))
      }}
    >
      <div className="comb-spine small">touch a tooth</div>
      <div className="comb-teeth">
        {teeth.map((um) => (
          <button
            key={um}
            type="button"
            tabIndex={-1}
            disabled={disabled}
            className={`comb-tooth ${pending && um === value ? "pending" : ""}`}
            data-state={um === value ? "on" : um < value ? "wet" : "dry"}
            style={{ height: 62 - (um - first) * (26 / (6 * step)) }}
            onClick={() => onChange(um)}
          >
            {um}
          </button>
        ))}
      </div>
      <div className="comb-film" style={{ height: 30 }} />
      <div className="comb-wood" />
    </div>
  )
}
