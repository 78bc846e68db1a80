import { useEffect, useState } from "react"
import { Tick } from "@/components/Marks"
import { allowBell } from "@/timers/bell"
import { timers, useTimers } from "@/timers/timers"
import type { Pot } from "@/types"

/** Stir, rest, strain: each a clock to start with a knuckle; it runs on when the page is left, and rings. */
export function Timers({ pot }: { pot: Pot }) {
  const set = useTimers()
  const [, tick] = useState(0)
  useEffect(() => {
    const timer = setInterval(() => tick((value) => value + 1), 1000)
    return () => clearInterval(timer)
  }, [])
  if (!pot.steps.length) return null
  const id = (index: number) => `/mix/${pot.id}/${index}`
  const start = (index: number, step: Pot["steps"][number]) => {
    allowBell()
    timers.set(id(index), Date.now() + step.min * 60_000, `${pot.name}: ${step.do}, ${step.min} min`)
    if (step.min === 0) timers.mark(id(index), { rung: true, heard: true })
  }
  return (
    <section aria-label="Stir and rest" className="thin-rule pt-2">
      <h2 className="text-head">{pot.stir_again ? "Stir again, then" : "When all is in"}</h2>
      <ul className="mix-timers">
        {pot.steps.map((step, index) => {
          const timer = set[id(index)]
          const left = timer ? timer.at - Date.now() : null
          const over = left !== null && left <= 0
          return (
            <li key={step.do}>
              <span>{step.do}</span>
              <button
                type="button"
                className="ui-button"
                data-done={over}
                onClick={() => start(index, step)}
                aria-label={`${step.do}: ${left === null ? "start" : over ? "done" : `${countdown(left)} left`}`}
              >
                {left === null ? step.min ? `${step.min} min` : "done?" : over ? <Tick /> : countdown(left)}
              </button>
            </li>
          )
        })}
      </ul>
    </section>
  )
}

function countdown(ms: number): string {
  const seconds = Math.ceil(ms / 1000)
  return `${Math.floor(seconds / 60)}:${String(seconds % 60).padStart(2, "0")}`
}
