import { useState } from "react"
import { SelectField, TextField } from "@/components/Field"
import { MeasureField } from "@/components/MeasureField"
import { send as request, sendFile } from "@/lib/api"
import { useSend } from "@/lib/requests"
import { typedNumber } from "@/lib/typed"
import { useMeasures } from "@/lib/units"
import { useUnsaved } from "@/lib/unsaved"
import { useFields } from "@/lib/useFields"
import type { RoomAir as RoomAirData, ShopPage } from "@/types"
import { AirDrawing } from "./AirDrawing"
import { RoomInstruments } from "./RoomInstruments"

type Hour = { at: string; t_c: string; rh: string }
type Props = {
  room?: RoomAirData
  airs: string[]
  uses: string[]
  now: number
  zone: string
  onKept: (props: ShopPage) => void
}

const NIGHT: Hour[] = [
  { at: "06:00", t_c: "20", rh: "50" },
  { at: "18:00", t_c: "14", rh: "60" },
]
const USES: Record<string, string> = {
  sand: "sand",
  spray: "spray, one pass at a time",
  finish: "brush, wipe and roll",
  dry: "dry",
}

/** A room's air: steady or by the hours of the day, with what a logger measured; drawn over the days around now. */
export function RoomAir({ room, airs, uses, now, zone, onKept }: Props) {
  const { temperature } = useMeasures()
  const [fields, set] = useFields(() => ({
    name: room?.name ?? "",
    t_c: String(room?.t_c ?? 20),
    rh: String(room?.rh ?? 50),
    air: room?.air ?? "ordinary",
    daily: (room?.daily?.map((hour) => ({ at: hour.at, t_c: String(hour.t_c), rh: String(hour.rh) })) ?? null) as
      | Hour[]
      | null,
    used: room?.uses ?? [],
    places: room?.rack_places == null ? "" : String(room.rack_places),
  }))
  const { name, t_c, rh, air, daily, used, places } = fields
  const { send, error } = useSend()
  const [kept, setKept] = useState("")
  const [open, setOpen] = useState(false)
  const [saved, setSaved] = useState(fields)
  useUnsaved(fields !== saved && JSON.stringify(fields) !== JSON.stringify(saved))
  const keep = () =>
    send(
      () =>
        request<ShopPage>("POST", "/shop/room", {
          id: room?.id,
          name,
          air,
          uses: used,
          rack_places: typedNumber(places),
          t_c: typedNumber(t_c),
          rh: typedNumber(rh),
          daily:
            daily?.map((hour) => ({
              at: hour.at.padStart(5, "0"),
              t_c: typedNumber(hour.t_c),
              rh: typedNumber(hour.rh),
              air,
            })) ?? null,
        }),
      (props) => {
        setKept("Kept. The plan follows.")
        setSaved(fields)
        onKept(props)
        if (!room) {
          set({ name: "" })
          setOpen(false)
        }
      },
    )
  const read = (file: File | undefined) =>
    file &&
    room &&
    send(
      () => sendFile<ShopPage>(`/shop/rooms/${room.id}/logger`, file),
      (props) => {
        onKept(props)
        const report = props.report
        setKept(
          report
            ? `${report.hours} hours read${report.refused ? `, ${report.refused} rows refused (${report.first_refused})` : ""}.`
            : "",
        )
      },
    )
  const setHour = (index: number, fields: Partial<Hour>) =>
    set({ daily: (daily ?? []).map((hour, at) => (at === index ? { ...hour, ...fields } : hour)) })
  if (!room && !open)
    return (
      <button type="button" className="ui-button mt-3" onClick={() => setOpen(true)}>
        Another room
      </button>
    )
  const at = (where: string) => (error?.where === where ? error.sentence : undefined)
  return (
    <article className="room-air" aria-label={room?.name ?? "Another room"}>
      <h3 className="panel-title">{room?.name ?? "Another room"}</h3>
      {room && <AirDrawing line={room.line} from={room.from} to={room.to} now={now} zone={zone} name={room.name} />}
      <div className="room-fields">
        {!room && <TextField label="Name" value={name} error={at("name")} onChange={(name) => set({ name })} />}
        <SelectField
          label="Its air is"
          value={daily ? "daily" : "steady"}
          options={[
            ["steady", "steady"],
            ["daily", "by the hours of the day"],
          ]}
          onChange={(next) => set({ daily: next === "daily" ? NIGHT : null })}
        />
        {!daily && (
          <>
            <MeasureField
              label="Air"
              measure={temperature}
              value={t_c}
              error={at("t_c")}
              onChange={(t_c) => set({ t_c })}
            />
            <TextField label="% RH" value={rh} error={at("rh")} onChange={(rh) => set({ rh })} />
          </>
        )}
        <SelectField
          label="Air moves"
          value={air}
          options={airs.map((one): [string, string] => [one, one === "moving" ? "moving: fans on" : one])}
          onChange={(air) => set({ air })}
        />
        <TextField
          label="Places on its rack"
          value={places}
          placeholder="as many as needed"
          error={at("rack_places")}
          onChange={(places) => set({ places })}
        />
      </div>
      <fieldset className="ui-checks">
        <legend className="text-label">Used to</legend>
        {uses.map((use) => (
          <label key={use} className="ui-check">
            <input
              type="checkbox"
              checked={used.includes(use)}
              onChange={(event) =>
                set({ used: event.target.checked ? [...used, use] : used.filter((other) => other !== use) })
              }
            />
            {USES[use] ?? use}
          </label>
        ))}
      </fieldset>
      {daily && (
        <ul className="room-hours">
          {daily.map((hour, index) => (
            // biome-ignore lint/suspicious/noArrayIndexKey: hours are told apart by their place only
            <li key={index}>
              <TextField label="From" value={hour.at} onChange={(value) => setHour(index, { at: value })} />
              <MeasureField
                label="Air"
                measure={temperature}
                value={hour.t_c}
                onChange={(value) => setHour(index, { t_c: value })}
              />
              <TextField label="% RH" value={hour.rh} onChange={(value) => setHour(index, { rh: value })} />
              <button
                type="button"
                className="ui-button"
                data-size="square"
                aria-label={`Remove ${hour.at}`}
                disabled={daily.length < 2}
                onClick={() => set({ daily: daily.filter((_, at) => at !== index) })}
              >
                −
              </button>
            </li>
          ))}
          <li className="another-hour">
            <button
              type="button"
              className="ui-button"
              data-quiet
              disabled={daily.length >= 24}
              onClick={() => set({ daily: [...daily, { at: "12:00", t_c: "20", rh: "50" }] })}
            >
              Another hour
            </button>
          </li>
        </ul>
      )}
      {error && !["name", "t_c", "rh", "rack_places"].includes(error.where ?? "") && (
        <p className="error-text" role="alert">
          {error.sentence}
        </p>
      )}
      <div className="flex flex-wrap items-center gap-3 mt-2">
        <button type="button" className="ui-button" data-tone="dark" onClick={() => void keep()}>
          {room ? `Keep ${room.name}` : "Make the room"}
        </button>
        {room && (
          <label className="ui-button">
            <input
              type="file"
              className="sr-only"
              accept=".csv,text/csv"
              onChange={(event) => void read(event.target.files?.[0])}
            />
            Logger file in
          </label>
        )}
        {room && room.logged > 0 && (
          <span className="text-second text-fine">
            {room.logged === 1 ? "1 hour was read" : `${room.logged} hours were read`}
          </span>
        )}
        <span className="text-second" role="status">
          {kept}
        </span>
      </div>
      {room && <RoomInstruments room={room} now={now} onKept={onKept} />}
    </article>
  )
}
