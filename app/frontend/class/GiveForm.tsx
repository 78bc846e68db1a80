import { useState } from "react"
import { ErrorText } from "@/components/ErrorText"
import { Field, Stepper } from "@/components/Field"
import { send as request } from "@/lib/api"
import { useSend } from "@/lib/requests"
import type { ClassPage } from "@/types"

type Props = { state: ClassPage; path: string; onGiven: (state: ClassPage) => void }

/** To whom it is given: names, one to a line; who is not known yet begins with the shop's hours. */
export function GiveForm({ state, path, onGiven }: Props) {
  const [names, setNames] = useState("")
  const [count, setCount] = useState(state.piece.count)
  const [tools, setTools] = useState(false)
  const { send, busy, error } = useSend()
  const list = names
    .split("\n")
    .map((name) => name.trim())
    .filter(Boolean)
  return (
    <form
      className="class-form"
      onSubmit={(event) => {
        event.preventDefault()
        void send(
          () => request<ClassPage>("POST", path, { names: list, count, tools }),
          (next) => {
            setNames("")
            onGiven(next)
          },
        )
      }}
    >
      <h2 className="text-head">{state.places.length > 0 ? "Give it to more" : "Give it to"}</h2>
      <Field label="Names, one to a line">
        {(id, invalid) => (
          <textarea
            id={id}
            className="ui-input"
            rows={7}
            value={names}
            aria-invalid={invalid}
            onChange={(event) => setNames(event.target.value)}
          />
        )}
      </Field>
      {state.people.length > 0 && (
        <button
          type="button"
          className="ui-button"
          data-quiet
          onClick={() => setNames([...new Set([...list, ...state.people])].join("\n"))}
        >
          All of the shop: {state.people.slice(0, 4).join(", ")}
          {state.people.length > 4 ? ` and ${state.people.length - 4} more` : ""}
        </button>
      )}
      <Stepper label="Alike pieces for each" unit="" value={count} by={1} least={1} most={100} onChange={setCount} />
      {state.may_lend_tools && (
        <label className="ui-check">
          <input type="checkbox" checked={tools} onChange={(event) => setTools(event.target.checked)} />
          The class may use the shop's guns
        </label>
      )}
      <ErrorText reason={error} />
      <button type="submit" className="ui-tape" disabled={busy || list.length === 0}>
        {busy ? "Planning" : list.length > 1 ? `Give it to ${list.length}` : "Give it"}
      </button>
    </form>
  )
}
