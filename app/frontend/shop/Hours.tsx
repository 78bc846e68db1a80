import { useState } from "react"
import { TextField } from "@/components/Field"
import { Switch } from "@/components/Switch"
import { send as request } from "@/lib/api"
import { useSend } from "@/lib/requests"
import { useUnsaved } from "@/lib/unsaved"
import type { Hours as HoursOf, ShopPage } from "@/types"

type Props = { people: ShopPage["people"]; shopHours: HoursOf; onKept: (props: ShopPage) => void }

const DAYS: [string, string][] = [
  ["1", "Monday"],
  ["2", "Tuesday"],
  ["3", "Wednesday"],
  ["4", "Thursday"],
  ["5", "Friday"],
  ["6", "Saturday"],
  ["0", "Sunday"],
]

/** The hours of the shop and of each person. */
export function Hours({ people, shopHours, onKept }: Props) {
  const [whose, setWhose] = useState("")
  const person = people.find((candidate) => String(candidate.id) === whose)
  return (
    <section aria-label="Hours" className="ruled pt-2">
      <h2 className="text-head">Hours</h2>
      <a href="/shop/calendar.ics" className="ui-button mt-3" download>
        The planned work as a calendar file
      </a>
      <p className="text-label mt-4">Hours of</p>
      <Switch
        label="Hours of"
        value={whose}
        options={[
          ["", "the shop"],
          ...people.map((candidate): [string, string] => [String(candidate.id), candidate.name]),
        ]}
        onChange={setWhose}
      />
      <Week
        key={whose}
        hours={person ?? shopHours}
        own={person ? person.name : ""}
        person={person?.id ?? null}
        onKept={onKept}
      />
    </section>
  )
}

function Week({
  hours,
  own,
  person,
  onKept,
}: {
  hours: HoursOf
  own: string
  person: number | null
  onKept: (props: ShopPage) => void
}) {
  const [week, setWeek] = useState(hours.week)
  const [days, setDays] = useState(hours.days)
  const { send, error } = useSend()
  const [kept, setKept] = useState("")
  const [saved, setSaved] = useState({ week, days })
  useUnsaved(week !== saved.week || days !== saved.days)
  const keep = () =>
    send(
      () => request<ShopPage>("POST", "/shop/hours", { person, week, days: days.filter((day) => day.date) }),
      (props) => {
        setKept("Kept. The plan follows.")
        setSaved({ week, days })
        onKept(props)
      },
    )
  const none = Object.values(week).every((text) => !text.trim())
  return (
    <div className="mt-2">
      <p className="text-second text-fine">
        {own && none
          ? `${own} has no hours of their own and keeps the shop's.`
          : "From to, more than one with a comma: 07:30-12:00, 12:30-16:30. Empty: closed."}
      </p>
      <div className="shop-week">
        {DAYS.map(([day, name]) => (
          <TextField
            key={day}
            label={name}
            value={week[day] ?? ""}
            placeholder="closed"
            error={error?.where === `week/${day}` ? error.sentence : undefined}
            onChange={(value) => setWeek({ ...week, [day]: value })}
          />
        ))}
      </div>
      <p className="text-head mt-4">Days that differ</p>
      <ul className="room-hours">
        {days.map((day, index) => (
          // biome-ignore lint/suspicious/noArrayIndexKey: days are told apart by their place while they are typed
          <li key={index}>
            <TextField
              label="Day"
              type="date"
              value={day.date}
              onChange={(date) => setDays(days.map((other, at) => (at === index ? { ...other, date } : other)))}
            />
            <TextField
              label="Hours"
              value={day.hours}
              placeholder="closed"
              error={error?.where === `days/${day.date}` ? error.sentence : undefined}
              onChange={(value) =>
                setDays(days.map((other, at) => (at === index ? { ...other, hours: value } : other)))
              }
            />
            <button
              type="button"
              className="ui-button"
              data-size="square"
              aria-label={`Remove ${day.date}`}
              onClick={() => setDays(days.filter((_, at) => at !== index))}
            >
              −
            </button>
          </li>
        ))}
        <li>
          <button
            type="button"
            className="ui-button"
            data-quiet
            onClick={() => setDays([...days, { date: "", hours: "" }])}
          >
            Another day
          </button>
        </li>
      </ul>
      {error && !error.where?.startsWith("week/") && !error.where?.startsWith("days/") && (
        <p className="error-text" role="alert">
          {error.sentence}
        </p>
      )}
      <button type="button" className="ui-button mt-2" data-tone="dark" onClick={() => void keep()}>
        Keep {own ? `${own}'s hours` : "the shop's hours"}
      </button>
      <span className="text-second ml-3" role="status">
        {kept}
      </span>
    </div>
  )
}
