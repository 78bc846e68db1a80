import { Dialog } from "radix-ui"
import { useState } from "react"
import { Panel } from "@/components/Panel"
import { clock, duration, soon } from "@/lib/time"
import { allowBell } from "./bell"
import { timers, useTimers } from "./timers"

const OWN_MIN = [5, 10, 15, 30, 60]

/** Something of the plan that can be rung for. */
export type Call = { id: string; at: number; words: string }

type Props = { calls: Call[]; now: number; zone: string }

/** What rings on this device: calls of the plan, and minutes of one's own. */
export function TimersPanel({ calls, now, zone }: Props) {
  const all = useTimers()
  const [open, setOpen] = useState(false)
  const own = Object.entries(all).filter(([id, { rung }]) => !rung && !calls.some((call) => call.id === id))
  const waiting = Object.values(all).filter(({ rung }) => !rung).length
  const ringIn = (minutes: number) => {
    allowBell()
    timers.set(`own/${Date.now()}`, Date.now() + minutes * 60_000, `${duration(minutes)} are over`)
  }
  return (
    <Panel
      title="Timers on this device"
      open={open}
      onOpenChange={setOpen}
      trigger={
        <Dialog.Trigger asChild>
          <button type="button" className="ui-button" data-size="bench" data-quiet>
            Timers{waiting > 0 ? `: ${waiting}` : ""}
          </button>
        </Dialog.Trigger>
      }
    >
      <fieldset className="own-timers">
        <legend>Ring in</legend>
        {OWN_MIN.map((minutes) => (
          <button key={minutes} type="button" className="ui-button" data-size="bench" onClick={() => ringIn(minutes)}>
            {minutes} min
          </button>
        ))}
      </fieldset>
      <ul className="timer-list">
        {own.map(([id, { at, words }]) => (
          <li key={id}>
            <b>{clock(Math.ceil(at / 60_000), zone)}</b>
            <span>{words}</span>
            <button type="button" className="ui-button" data-size="bench" onClick={() => timers.drop(id)}>
              Stop it
            </button>
          </li>
        ))}
        {calls.map((call) => (
          <li key={call.id}>
            <b>{soon(call.at, zone, now)}</b>
            <span>{call.words}</span>
            <RingToggle call={call} />
          </li>
        ))}
      </ul>
      {calls.length === 0 && own.length === 0 && (
        <p className="text-second mt-3">Nothing opens or shuts in the next day.</p>
      )}
      <p className="text-fine text-second mt-3">
        They ring while a page of Rhexon is open, also behind others, and after a reload.
      </p>
    </Panel>
  )
}

/** Rings for a call of the plan, or lets it be. */
export function RingToggle({ call }: { call: Call }) {
  const set = useTimers()[call.id]
  const on = set !== undefined && !set.rung
  return (
    <button
      type="button"
      className="ui-button"
      data-size="bench"
      aria-pressed={on}
      aria-label={`${on ? "Do not ring" : "Ring"}: ${call.words}`}
      onClick={() => {
        if (on) return timers.drop(call.id)
        allowBell()
        timers.set(call.id, call.at * 60_000, call.words)
      }}
    >
      {on ? "rings" : "Ring"}
    </button>
  )
}
