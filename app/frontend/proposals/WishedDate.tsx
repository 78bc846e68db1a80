import { DayField } from "@/components/DayField"
import { dayStart, iso, isoDay } from "@/lib/time"
import type { Wish } from "@/types"

/** By when on its day. */
const HOUR = 16

type Props = { due: number | null; moved: boolean; zone: string; onWish: (change: Partial<Wish>) => void }

/** By which day it is wished: tried here, and changed for the job on the page of the piece. */
export function WishedDate({ due, moved, zone, onWish }: Props) {
  const wish = (day: string) => {
    const noon = Date.parse(`${day}T12:00Z`) / 60000
    onWish({ due: Number.isNaN(noon) ? null : iso(dayStart(noon, zone) + HOUR * 60) })
  }
  return (
    <DayField
      label={moved ? "Ready by, only tried here" : "Ready by"}
      value={due === null ? "" : isoDay(due, zone)}
      onDay={wish}
    >
      {moved && (
        <button type="button" className="ui-button" onClick={() => onWish({ due: null })}>
          As it was
        </button>
      )}
    </DayField>
  )
}
