import { router } from "@inertiajs/react"
import { useState } from "react"
import { ErrorText } from "@/components/ErrorText"
import { SelectField, TextField } from "@/components/Field"
import { Panel } from "@/components/Panel"
import { sendOnce } from "@/lib/api"
import { useSend } from "@/lib/requests"
import { clock, iso, isoDay, minuteAt } from "@/lib/time"
import type { Sheet } from "@/types"
import { loggable, type Past, pastTimes } from "./past"

type Props = { piece: { id: number; name: string }; sheet: Sheet; onClose: () => void }

/** A piece that comes half done: what was done on it, by whom and when, logged in one go. */
export function PastWork({ piece, sheet, onClose }: Props) {
  const { zone, now } = sheet
  const rows = loggable(sheet.rows)
  const [upTo, setUpTo] = useState(rows[0]?.key ?? "")
  const [day, setDay] = useState(isoDay(now - 1440, zone))
  const [time, setTime] = useState("16:00")
  const [person, setPerson] = useState("")
  const [own, setOwn] = useState<Record<string, Partial<Times>>>({})
  const { send, busy, error } = useSend()
  const chosen = rows.slice(0, rows.findIndex(({ key }) => key === upTo) + 1)
  const end = minuteAt(day, time, zone)
  const past = Number.isNaN(end) ? [] : pastTimes(chosen, end, zone, sheet.open)
  const times = past.map((one) => ({ ...one, ...typed(one, own[one.key], zone) }))
  const wrong = trouble(times, now)
  const save = () =>
    send(
      () =>
        sendOnce("POST", `/pieces/${piece.id}/past_work`, {
          person: person || null,
          passes: times.map(({ key, from, to }) => ({ pass: key, started: iso(from), done: iso(to) })),
        }),
      () => {
        onClose()
        router.reload()
      },
    )
  if (rows.length === 0) {
    return (
      <Panel title="Log past work" open leave="Close" onOpenChange={onClose}>
        <p className="mt-2">The next step needs readings. Log it at the bench.</p>
      </Panel>
    )
  }
  return (
    <Panel
      title={`Log past work: ${piece.name}`}
      open
      leave="Cancel"
      onOpenChange={onClose}
      action={
        <button type="button" className="ui-tape" disabled={busy || wrong !== null} onClick={() => void save()}>
          Log work
        </button>
      }
    >
      <div className="mt-3 grid gap-3">
        <SelectField
          label="Last step done"
          value={upTo}
          onChange={setUpTo}
          options={rows.map((row) => [row.key, `${row.number}  ${row.words}`])}
        />
        <div className="form-row">
          <TextField label="Finish date" type="date" value={day} onChange={setDay} />
          <TextField label="Finish time" type="time" value={time} onChange={setTime} />
          <SelectField
            label="Done by"
            value={person}
            onChange={setPerson}
            options={[["", "not recorded"], ...sheet.people.map((name): [string, string] => [name, name])]}
          />
        </div>
        {times.length > 1 && (
          <fieldset>
            <legend className="text-head">Finish times of earlier steps</legend>
            <ul className="past-work">
              {times.slice(0, -1).map((one) => (
                <li key={one.key}>
                  <span>{one.words}</span>
                  <input
                    type="date"
                    className="ui-input"
                    aria-label={`${one.words}, day`}
                    value={own[one.key]?.day ?? isoDay(one.to, zone)}
                    onChange={(event) => setOwn({ ...own, [one.key]: { ...own[one.key], day: event.target.value } })}
                  />
                  <input
                    type="time"
                    className="ui-input"
                    aria-label={`${one.words}, time`}
                    value={own[one.key]?.time ?? clock(one.to, zone)}
                    onChange={(event) => setOwn({ ...own, [one.key]: { ...own[one.key], time: event.target.value } })}
                  />
                </li>
              ))}
            </ul>
          </fieldset>
        )}
        {wrong && (
          <p className="error-text" role="alert">
            {wrong}
          </p>
        )}
      </div>
      <ErrorText reason={error} />
    </Panel>
  )
}

type Times = { day: string; time: string }

/** As a hand has typed it, with the hours that the work takes before it. */
function typed({ from, to }: Past, own: Partial<Times> | undefined, zone: string) {
  if (!own) return { from, to }
  const end = minuteAt(own.day ?? isoDay(to, zone), own.time ?? clock(to, zone), zone)
  return { from: end - (to - from), to: end }
}

function trouble(times: Past[], now: number): string | null {
  if (times.length === 0 || times.some(({ to }) => Number.isNaN(to))) return "Enter a day and a time, such as 16:10."
  if (times.some(({ to }) => to > now)) return "The end is in the future. Enter a time up to now."
  const early = times.find(({ to }, at) => at > 0 && to < (times[at - 1]?.to ?? to))
  return early ? `Check the finish time of ${early.words}. The step above finishes later.` : null
}
