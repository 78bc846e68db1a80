import { useState } from "react"
import { ErrorText } from "@/components/ErrorText"
import { SelectField, TextField } from "@/components/Field"
import { send as request } from "@/lib/api"
import { useSend } from "@/lib/requests"
import { duration } from "@/lib/time"
import type { ShopPage } from "@/types"
import { example, FAULTS } from "./RoomInstruments"

const SHOP = "/shop/instruments"
const KINDS: [string, string][] = [
  ["moisture", "moisture meter"],
  ["comb", "wet film comb"],
  ["gauge", "film gauge"],
  ["gloss", "gloss meter"],
  ["colour", "colour reader"],
  ["efflux", "efflux cup"],
]

type Told = ShopPage & { token?: string }
type Props = { instruments: ShopPage["hand_instruments"]; now: number; onKept: (props: ShopPage) => void }

/** Instruments that are held on the work: what they send waits at the bench until somebody takes it. */
export function HandInstruments({ instruments, now, onKept }: Props) {
  const [name, setName] = useState("")
  const [kind, setKind] = useState("moisture")
  const [token, setToken] = useState("")
  const { send, busy, error } = useSend()
  const ask = (verb: "POST" | "PATCH" | "DELETE", url: string, body: object) =>
    void send(
      () => request<Told>(verb, url, body),
      (props) => {
        setToken(props.token ?? "")
        if (verb === "POST") setName("")
        onKept(props)
      },
    )
  return (
    <section aria-label="Instruments" className="ruled pt-2 hand-instruments">
      <h2 className="text-head">Instruments of the hand</h2>
      <ul>
        {instruments.map((one) => (
          <li key={one.id}>
            <span>
              {one.name}
              {one.name.toLowerCase() === one.words ? "" : `, ${one.words}`}:{" "}
              {one.last_at === null
                ? "nothing read yet"
                : `read ${now - one.last_at < 2 ? "just now" : `${duration(now - one.last_at)} ago`}`}
            </span>
            {one.stand_in === null ? (
              <span />
            ) : (
              <select
                className="ui-input"
                aria-label={`${one.name}, a stand-in, which`}
                value={one.stand_in}
                onChange={(event) => ask("PATCH", `${SHOP}/${one.id}`, { stand_in: event.target.value })}
              >
                {FAULTS.map(([fault, words]) => (
                  <option key={fault} value={fault}>
                    {words}
                  </option>
                ))}
              </select>
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
          <pre>{example(token, "value=9.4")}</pre>
        </div>
      )}
      <div className="flex flex-wrap items-end gap-2">
        <SelectField label="Another" value={kind} options={KINDS} onChange={setKind} />
        <TextField label="Its name" value={name} onChange={setName} />
        <button
          type="button"
          className="ui-button"
          disabled={busy || name.trim() === ""}
          onClick={() => ask("POST", SHOP, { name, kind })}
        >
          Add it
        </button>
      </div>
      <ErrorText reason={error} />
    </section>
  )
}
