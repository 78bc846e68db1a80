import { useState } from "react"

const FAULTS: [string, string][] = [
  ["none", "works"],
  ["disconnected", "cable out"],
  ["stale", "hangs"],
  ["noisy", "shaken"],
  ["jump", "jumps"],
]

type Props = { hand: (act: string, more?: Record<string, unknown>) => Promise<unknown>; target: number }

/** The hand of the stand-in scale: hold to pour, and what can go wrong with a real one. */
export function Hand({ hand, target }: Props) {
  const [fast, setFast] = useState(true)
  const [pouring, setPouring] = useState(false)
  const rate = fast ? Math.max(target / 5, 2) : Math.max(target / 60, 0.4)
  const start = () => {
    if (pouring) return
    setPouring(true)
    void hand("pour", { g_per_s: Math.min(rate, 400) })
  }
  const stop = () => {
    if (!pouring) return
    setPouring(false)
    void hand("stop")
  }
  return (
    <details className="stand-in">
      <summary>Stand-in scale</summary>
      <div className="flex flex-wrap items-center gap-3 pt-2">
        <button
          type="button"
          className="ui-button"
          data-size="bench"
          data-pouring={pouring}
          onPointerDown={start}
          onPointerUp={stop}
          onPointerLeave={stop}
          onKeyDown={(event) => {
            if (event.key !== " " && event.key !== "Enter") return
            event.preventDefault()
            start()
          }}
          onKeyUp={stop}
          onBlur={stop}
        >
          Hold to pour
        </button>
        <button type="button" className="ui-button" aria-pressed={fast} onClick={() => setFast(!fast)}>
          {fast ? "fast" : "slow"}
        </button>
        <button
          type="button"
          className="ui-button"
          onClick={() => void hand("put", { grams: -Math.max(target / 20, 1) })}
        >
          Spoon some out
        </button>
        <button type="button" className="ui-button" onClick={() => void hand("clear")}>
          Take the pot off
        </button>
        <label className="flex items-center gap-2">
          <span className="text-label">It</span>
          <select className="ui-input" onChange={(event) => void hand("fault", { fault: event.target.value })}>
            {FAULTS.map(([fault, words]) => (
              <option key={fault} value={fault}>
                {words}
              </option>
            ))}
          </select>
        </label>
      </div>
    </details>
  )
}
