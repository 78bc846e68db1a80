import { useEffect, useState } from "react"
import { clock } from "@/lib/time"
import { ring } from "./bell"
import { next, type Timers, timers, useTimers } from "./timers"
import { say, useVoice } from "./voice"

const AGAIN_MS = 20_000
/** So often it rings anew; then it stands there until somebody comes. */
const TIMES = 9

/** Calls out the timers of this device when they are due, on whichever page, until somebody has heard them. */
export function Ringing({ zone }: { zone: string }) {
  const all = useTimers()
  useDue(all)
  const called = Object.entries(all).filter(([, { rung, heard }]) => rung && !heard)
  useCalls(called.map(([, { words }]) => words).join(". "))
  return called.map(([id, { at, words }]) => (
    <div key={id} className="ringing" role="alert">
      <b>{clock(Math.floor(at / 60_000), zone)}</b>
      <span>{words}</span>
      <button type="button" className="ui-button" data-size="bench" onClick={() => timers.mark(id, { heard: true })}>
        Heard
      </button>
    </div>
  ))
}

/** Marks the next timer as rung when its time has come; one whose time came while no page was open is called at once. */
function useDue(all: Timers): void {
  const due = next(all)
  const [id, at] = due ? [due[0], due[1].at] : ["", null]
  const [worker] = useState(() =>
    typeof Worker === "function" ? new Worker(new URL("./clock.ts", import.meta.url), { type: "module" }) : null,
  )
  useEffect(() => {
    if (at === null) return
    const over = () => timers.mark(id, { rung: true })
    if (!worker) {
      const timer = setTimeout(over, Math.max(at - Date.now(), 0))
      return () => clearTimeout(timer)
    }
    worker.addEventListener("message", over)
    worker.postMessage(at)
    return () => {
      worker.removeEventListener("message", over)
      worker.postMessage(null)
    }
  }, [id, at, worker])
  useEffect(() => () => worker?.terminate(), [worker])
}

function useCalls(words: string): void {
  const [voice] = useVoice()
  useEffect(() => {
    if (!words) return
    let times = 0
    const call = () => {
      times += 1
      void ring(words)
      if (voice === "on") say(words)
      if (times === TIMES) clearInterval(timer)
    }
    const timer = setInterval(call, AGAIN_MS)
    call()
    return () => clearInterval(timer)
  }, [words, voice])
}
