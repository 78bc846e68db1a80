import { soon, when } from "@/lib/time"
import type { Row, Sheet } from "@/types"

type Props = {
  sheet: Sheet
  row: Row
  error: (field: string) => string | undefined
  onMove: (row: Row, start: number) => void
  onUnpin: (row: Row) => void
}

const BECAUSE: Record<string, string> = {
  milestone: "as soon as it is dry",
  hands: "as soon as hands are free",
  hours: "when the shop opens",
  pin: "as set by you",
  goal: "held back on purpose",
  log: "as logged",
  room: "when the room is free",
  rack: "when there is room on the rack",
  dust: "when no dust can fall on a wet film",
  tool: "when the gun is free",
}

/** When it starts, why then, how far it may move; by 5 min, or let go. */
export function WhenControl({ row, sheet, onMove, onUnpin, error }: Props) {
  if (row.status !== "planned" || row.kind === "wait")
    return (
      <p className="text-second mb-2">
        {row.status === "done" ? `Done ${when(row.work_end, sheet.zone)}.` : "In hand."}
      </p>
    )
  const refusal = error("start")
  const starts = (minute: number) => soon(minute + row.setup_min, sheet.zone, sheet.now)
  return (
    <fieldset className="mb-3">
      <legend className="text-label">
        {row.person ? `${row.person} starts` : "Starts"} {BECAUSE[row.because] ?? ""}
        {row.earliest < row.latest && `; may move ${starts(row.earliest)} to ${starts(row.latest)}`}
      </legend>
      <div className="flex gap-2">
        <button
          type="button"
          className="ui-button"
          data-size="square"
          aria-label="5 minutes earlier"
          onClick={() => onMove(row, row.hands_start - 5)}
        >
          −
        </button>
        <output className="when-out">{when(row.work_start, sheet.zone)}</output>
        <button
          type="button"
          className="ui-button"
          data-size="square"
          aria-label="5 minutes later"
          onClick={() => onMove(row, row.hands_start + 5)}
        >
          +
        </button>
        {row.pinned && (
          <button type="button" className="ui-button" data-quiet onClick={() => onUnpin(row)}>
            let go
          </button>
        )}
      </div>
      {refusal && (
        <p className="error-text" role="alert">
          {refusal}
        </p>
      )}
    </fieldset>
  )
}
