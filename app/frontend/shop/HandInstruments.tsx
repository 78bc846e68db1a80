import { useState } from "react"
import { ErrorText } from "@/components/ErrorText"
import { SelectField, TextField } from "@/components/Field"
import { duration } from "@/lib/time"
import type { ShopPage } from "@/types"
import { FAULTS, InstrumentTools, TokenTold, useInstruments } from "./instruments"

const KINDS: [string, string][] = [
  ["moisture", "moisture meter"],
  ["comb", "wet film comb"],
  ["gauge", "film gauge"],
  ["gloss", "gloss meter"],
  ["colour", "colour reader"],
  ["efflux", "efflux cup"],
]

type Props = { instruments: ShopPage["hand_instruments"]; now: number; onKept: (props: ShopPage) => void }

/** Instruments that are held on the work: what they send waits at the bench until somebody takes it. */
export function HandInstruments({ instruments, now, onKept }: Props) {
  const [name, setName] = useState("")
  const [kind, setKind] = useState("moisture")
  const tools = useInstruments(onKept)
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
                onChange={(event) => tools.change(one.id, { stand_in: event.target.value })}
              >
                {FAULTS.map(([fault, words]) => (
                  <option key={fault} value={fault}>
                    {words}
                  </option>
                ))}
              </select>
            )}
            <InstrumentTools id={one.id} tools={tools} />
          </li>
        ))}
      </ul>
      <TokenTold token={tools.token} line="value=9.4" />
      <div className="flex flex-wrap items-end gap-2">
        <SelectField label="Another" value={kind} options={KINDS} onChange={setKind} />
        <TextField label="Its name" value={name} onChange={setName} />
        <button
          type="button"
          className="ui-button"
          disabled={tools.busy || name.trim() === ""}
          onClick={() => tools.add({ name, kind }, () => setName(""))}
        >
          Add it
        </button>
      </div>
      <ErrorText reason={tools.error} />
    </section>
  )
}
