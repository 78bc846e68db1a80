import { useEffect, useState } from "react"
import { Tick } from "@/components/Marks"
import { recallRecord, remember } from "@/lib/device"
import type { Pot } from "@/types"

type Running = Record<number, number>
const key = (id: number) => `rhexon.timers.${id}`
const read = (id: number): Running =>
  Object.fromEntries(Object.entries(recallRecord(key(id))).filter(([, began]) => typeof began === "number")) as Running

/** Stir, rest, strain: each a clock to start with a knuckle; it runs on when the page is left. */
export function Timers({ pot }: { pot: Pot }) {
  const [running, setRunning] = useState<Running>(() => read(pot.id))
  const [, tick] = useState(0)
  useEffect(() => {
    const timer = setInterval(() => tick((value) => value + 1), 1000)
    return () => clearInterval(timer)
  }, [])
  if (!pot.steps.length) return null
  const start = (index: number) => {
    const next = { ...running, [index]: Date.now() }
    remember(key(pot.id), JSON.stringify(next))
    setRunning(next)
  }
  return (
    <section aria-label="Stir and rest" className="thin-rule pt-2">
      <h2 className="text-head">{pot.stir_again ? "Stir again, then" : "When all is in"}</h2>
      <ul className="mix-timers">
        {pot.steps.map((step, index) => {
          const began = running[index]
          const left = began ? began + step.min * 60_000 - Date.now() : null
          const over = left !== null && left <= 0
          return (
            <li key={step.do}>
              <span>{step.do}</span>
              <button
                type="button"
                className="ui-button"
                data-done={over}
                onClick={() => start(index)}
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
