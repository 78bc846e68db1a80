import { useState } from "react"
import { TextField } from "@/components/Field"
import { Panel } from "@/components/Panel"
import { clock, iso, isoDay, minuteAt } from "@/lib/time"
import type { BenchRow } from "@/types"
import type { Touch } from "./touch"

type Props = { row: BenchRow; inHand: boolean; person: string | undefined; now: number; zone: string } & {
  onTouch: (touch: Touch) => void
}

/** Work that was done and not logged: when it began and ended. What is in hand has begun already. */
export function DoneEarlier(props: Props) {
  const [open, setOpen] = useState(false)
  return (
    <>
      <button type="button" className="ui-button" data-size="bench" data-quiet onClick={() => setOpen(true)}>
        Log past work
      </button>
      {open && <Times {...props} onClose={() => setOpen(false)} />}
    </>
  )
}

function Times({ row, inHand, person, now, zone, onTouch, onClose }: Props & { onClose: () => void }) {
  const [day, setDay] = useState(isoDay(now, zone))
  const [began, setBegan] = useState(clock(now - Math.round(row.hands_min), zone))
  const [ended, setEnded] = useState(clock(now, zone))
  const [told, setTold] = useState("")
  const from = inHand ? row.hands_start : minuteAt(day, began, zone)
  const to = minuteAt(day, ended, zone)
  const wrong = trouble(from, to, now)
  const save = () => {
    setTold(wrong ?? "")
    if (wrong) return
    const by = person ? { person } : {}
    const log = (kind: "started" | "done", at: number) =>
      onTouch({ kind, pass: row.key, ...(inHand ? {} : by), happened_at: iso(at), shop_time: true })
    if (!inHand) log("started", from)
    log("done", to)
    onClose()
  }
  return (
    <Panel
      title={`When was it done? ${row.words}`}
      open
      onOpenChange={onClose}
      leave="Cancel"
      action={
        <button type="button" className="ui-tape" onClick={save}>
          Log work
        </button>
      }
    >
      <div className="form-row">
        <TextField label="Day" type="date" value={day} onChange={setDay} />
        {!inHand && <TextField label="Started" type="time" value={began} onChange={setBegan} />}
        <TextField label="Finished" type="time" value={ended} onChange={setEnded} />
      </div>
      {told && wrong && (
        <p className="error-text" role="alert">
          {wrong}
        </p>
      )}
    </Panel>
  )
}

function trouble(from: number, to: number, now: number): string | null {
  if (Number.isNaN(from) || Number.isNaN(to)) return "Enter a day and a time, such as 16:10."
  if (to > now + 1) return "The end is in the future. Enter a time up to now."
  return to <= from ? "The end is before the start." : null
}
