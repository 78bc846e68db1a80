import { useState } from "react"
import { ErrorText } from "@/components/ErrorText"
import { TextField } from "@/components/Field"
import { Switch } from "@/components/Switch"
import { send as request } from "@/lib/api"
import { useSend } from "@/lib/requests"
import type { PersonHours, ShopPage } from "@/types"
import { Account } from "./Account"

type Props = { state: ShopPage; onKept: (props: ShopPage) => void }

/** Whose hands the plan counts on, what they are trained for, and the guns they share. */
export function People({ state, onKept }: Props) {
  const { send, error } = useSend()
  const keep = (path: string, body: object) => send(() => request<ShopPage>("POST", path, body), onKept)
  const person = (row: PersonHours, set: Partial<PersonHours>) =>
    void keep("/shop/person", {
      id: row.id,
      at_bench: row.at_bench,
      own_pieces_only: row.own_pieces_only,
      skills: row.skills,
      ...set,
    })
  return (
    <section aria-label="People" className="ruled pt-2">
      <h2 className="text-head">People</h2>
      <ul className="shop-people">
        {state.people.map((row) => (
          <li key={row.id}>
            <b>{row.name}</b>
            <Switch
              label={`${row.name} in the plan`}
              value={!row.at_bench ? "no" : row.own_pieces_only ? "own" : "yes"}
              options={[
                ["yes", "available"],
                ["own", "own pieces only"],
                ["no", "away"],
              ]}
              onChange={(value) =>
                person(row, value === "no" ? { at_bench: false } : { at_bench: true, own_pieces_only: value === "own" })
              }
            />
            {state.trained_work.map((work) => (
              <label key={work} className="ui-check">
                <input
                  type="checkbox"
                  checked={row.skills === null || row.skills.includes(work)}
                  onChange={(event) =>
                    person(row, { skills: skills(row, state.trained_work, work, event.target.checked) })
                  }
                />
                may {work}
              </label>
            ))}
            <Account person={row} onKept={onKept} />
          </li>
        ))}
      </ul>
      <AddLine label="Somebody else" onAdd={(name) => keep("/shop/person", { name, at_bench: true, skills: null })} />
      <h2 className="text-head mt-4">Guns</h2>
      <p className="text-second text-fine">
        Each serves one pass at a time. None named: there are as many as are needed.
      </p>
      <ul className="shop-people">
        {state.tools.map((row) => (
          <li key={row.id}>
            <b>{row.name}</b>
            <span className="text-second">for {row.used_for}</span>
            <button
              type="button"
              className="ui-button"
              data-quiet
              onClick={() => void keep("/shop/tool", { id: row.id })}
            >
              Take away
            </button>
          </li>
        ))}
      </ul>
      <AddLine label="Another gun" onAdd={(name) => keep("/shop/tool", { name, used_for: "spray" })} />
      <ErrorText reason={error} />
    </section>
  )
}

/** One more by its name. */
function AddLine({ label, onAdd }: { label: string; onAdd: (name: string) => Promise<boolean> }) {
  const [name, setName] = useState("")
  return (
    <form
      className="add-line"
      onSubmit={(event) => {
        event.preventDefault()
        void onAdd(name).then((added) => added && setName(""))
      }}
    >
      <TextField label={label} value={name} onChange={setName} placeholder="name" />
      <button type="submit" className="ui-button" disabled={!name.trim()}>
        Add
      </button>
    </form>
  )
}

/**
 * Trained for everything is written as nothing in particular, so that training that is named later is not taken away.
 */
function skills(person: PersonHours, all: string[], work: string, may: boolean): string[] | null {
  const now = person.skills ?? all
  const next = may ? [...new Set([...now, work])] : now.filter((other) => other !== work)
  return next.length === all.length ? null : next
}
