import { useState } from "react"
import { ErrorText } from "@/components/ErrorText"
import { SelectField, TextField } from "@/components/Field"
import { send as request } from "@/lib/api"
import { useSend } from "@/lib/requests"
import { duration } from "@/lib/time"
import { useMeasures } from "@/lib/units"
import type { Instrument, RoomAir, ShopPage } from "@/types"

export const FAULTS: [string, string][] = [
  ["none", "works"],
  ["disconnected", "does not answer"],
  ["stale", "sends old readings"],
  ["noisy", "is noisy"],
  ["out_of_range", "reads what cannot be"],
  ["jump", "jumps"],
]
const KINDS: [string, string][] = [
  ["hygrometer", "thermo-hygrometer"],
  ["weather", "weather line, the day ahead"],
]
const SHOP = "/shop/instruments"

type Told = ShopPage & { token?: string }
type Props = { room: RoomAir; now: number; onKept: (props: ShopPage) => void }

/** Thermo-hygrometers of a room: what they read last, and how another one sends its readings. */
export function RoomInstruments({ room, now, onKept }: Props) {
  const [name, setName] = useState("")
  const [kind, setKind] = useState("hygrometer")
  const [token, setToken] = useState("")
  const { send, busy, error } = useSend()
  const told = (props: Told) => {
    setToken(props.token ?? "")
    onKept(props)
  }
  const ask = (verb: "POST" | "PATCH" | "DELETE", url: string, body: object) =>
    void send(
      () => request<Told>(verb, url, body),
      (props) => {
        told(props)
        if (verb === "POST") setName("")
      },
    )
  return (
    <section aria-label={`Instruments in ${room.name}`} className="room-instruments">
      <h4 className="text-label">Thermo-hygrometers, weather</h4>
      <ul>
        {room.instruments.map((one) => (
          <li key={one.id} data-state={one.state}>
            <Read one={one} now={now} />
            {one.stand_in !== null && (
              <SelectField
                label="A stand-in, which"
                value={one.stand_in}
                options={FAULTS}
                onChange={(fault) => ask("PATCH", `${SHOP}/${one.id}`, { stand_in: fault })}
              />
            )}
            <button
              type="button"
              className="text-button"
              disabled={busy}
              onClick={() => ask("PATCH", `${SHOP}/${one.id}`, { renew: true })}
            >
              Another token
            </button>
            <button
              type="button"
              className="text-button"
              disabled={busy}
              onClick={() => ask("DELETE", `${SHOP}/${one.id}`, {})}
            >
              Take it away
            </button>
          </li>
        ))}
      </ul>
      {token && (
        <div className="room-token" role="status">
          <p>
            Its token, told only now: <code>{token}</code>
          </p>
          <pre>{example(token)}</pre>
        </div>
      )}
      <div className="flex flex-wrap items-end gap-2">
        <SelectField label="Another" value={kind} options={KINDS} onChange={setKind} />
        <TextField label="Its name" value={name} onChange={setName} />
        <button
          type="button"
          className="ui-button"
          disabled={busy || name.trim() === ""}
          onClick={() => ask("POST", SHOP, { name, kind, room: room.id })}
        >
          Add it
        </button>
      </div>
      <ErrorText reason={error} />
    </section>
  )
}

function Read({ one, now }: { one: Instrument; now: number }) {
  const { temperature } = useMeasures()
  if (one.at === null || one.t_c === null) return <span>{one.name}: nothing read yet</span>
  if (one.kind === "weather")
    return (
      <span>
        {one.name}: the day ahead from <b>{`${temperature.text(one.t_c)}, ${one.rh} % RH`}</b>,{" "}
        {now - one.at < 2 ? "just now" : `${duration(now - one.at)} ago`}
        {one.state === "silent" && ", nothing new since"}
      </span>
    )
  const ago = now - one.at < 2 ? "just now" : `${duration(now - one.at)} ago`
  return (
    <span>
      {one.name}: <b>{`${temperature.text(one.t_c)}, ${one.rh} % RH`}</b> {ago}
      {one.state === "jump" && ", a jump: not used until it is read again"}
      {one.state === "silent" && ", nothing new since: look at its battery and its link"}
    </span>
  )
}

/** How an instrument sends: what it reads, as a line. */
export const example = (token: string, line = "t_c=19.4 rh=56") =>
  `curl -H "Authorization: Bearer ${token}" -d "${line}" ${typeof location === "undefined" ? "" : location.origin}/readings`
