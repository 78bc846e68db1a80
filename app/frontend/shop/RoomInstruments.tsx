import { useState } from "react"
import { ErrorText } from "@/components/ErrorText"
import { SelectField, TextField } from "@/components/Field"
import { duration } from "@/lib/time"
import { useMeasures } from "@/lib/units"
import type { Instrument, RoomAir, ShopPage } from "@/types"
import { FAULTS, InstrumentTools, TokenTold, useInstruments } from "./instruments"

const KINDS: [string, string][] = [
  ["hygrometer", "thermo-hygrometer"],
  ["weather", "weather line, the day ahead"],
]
type Props = { room: RoomAir; now: number; onKept: (props: ShopPage) => void }

/** Thermo-hygrometers of a room: what they read last, and how another one sends its readings. */
export function RoomInstruments({ room, now, onKept }: Props) {
  const [name, setName] = useState("")
  const [kind, setKind] = useState("hygrometer")
  const tools = useInstruments(onKept)
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
                onChange={(fault) => tools.change(one.id, { stand_in: fault })}
              />
            )}
            <InstrumentTools id={one.id} tools={tools} />
          </li>
        ))}
      </ul>
      <TokenTold token={tools.token} line="t_c=19.4 rh=56" />
      <div className="flex flex-wrap items-end gap-2">
        <SelectField label="Another" value={kind} options={KINDS} onChange={setKind} />
        <TextField label="Its name" value={name} onChange={setName} />
        <button
          type="button"
          className="ui-button"
          disabled={tools.busy || name.trim() === ""}
          onClick={() => tools.add({ name, kind, room: room.id }, () => setName(""))}
        >
          Add it
        </button>
      </div>
      <ErrorText reason={tools.error} />
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
