import { Field } from "@/components/Field"
import { dayStart, iso, isoDay } from "@/lib/time"
import type { Wish } from "@/types"

/** By when on its day. */
const HOUR = 16

type Props = { due: number | null; moved: boolean; zone: string; onWish: (change: Partial<Wish>) => void }

/** By which day it is wished: tried here, and changed for the job on the page of the piece. */
export function WishedDate({ due, moved, zone, onWish }: Props) {
  return (
    <Field label={moved ? "Ready by, only tried here" : "Ready by"}>
      {(id) => (
        <div className="flex gap-2">
          <input
            id={id}
            type="date"
            className="ui-input"
            value={due === null ? "" : isoDay(due, zone)}
            onChange={(event) => {
              const noon = Date.parse(`${event.target.value}T12:00Z`) / 60000
              onWish({ due: Number.isNaN(noon) ? null : iso(dayStart(noon, zone) + HOUR * 60) })
            }}
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
