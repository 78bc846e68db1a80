import { useEffect, useState } from "react"
import { Field } from "@/components/Field"
import { dayStart, iso, isoDay } from "@/lib/time"
import type { Wish } from "@/types"

/** By when on its day. */
const HOUR = 16
/** Years that are meant, not on the way to being typed. */
const MEANT = /^2\d{3}-/

type Props = { due: number | null; moved: boolean; zone: string; onWish: (change: Partial<Wish>) => void }

/** By which day it is wished: tried here, and changed for the job on the page of the piece. */
export function WishedDate({ due, moved, zone, onWish }: Props) {
  const set = due === null ? "" : isoDay(due, zone)
  const [typed, setTyped] = useState(set)
  useEffect(() => setTyped(set), [set])
  const type = (day: string) => {
    setTyped(day)
    const noon = Date.parse(`${day}T12:00Z`) / 60000
    if (MEANT.test(day) && day !== set && !Number.isNaN(noon)) onWish({ due: iso(dayStart(noon, zone) + HOUR * 60) })
  }
  return (
    <Field label={moved ? "Ready by, only tried here" : "Ready by"}>
      {(id) => (
        <div className="flex gap-2">
          <input
            id={id}
            type="date"
            className="ui-input"
            value={typed}
            onChange={(event) => type(event.target.value)}
          />
          {moved && (
            <button type="button" className="ui-button" onClick={() => onWish({ due: null })}>
              As it was
            </button>
          )}
        </div>
      )}
    </Field>
  )
}
