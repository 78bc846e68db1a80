import { duration, when } from "@/lib/time"
import type { Sheet } from "@/types"

type Props = {
  sheet: Sheet
  /** What the change would make of it; null: not computed yet. */
  then: Sheet | null
  words: string
  onKeep: () => void
  onLeave: () => void
}

/** A change that is tried before it is kept: date and hands before and after. */
export function TryBar({ sheet, then, words, onKeep, onLeave }: Props) {
  const ready = (of: Sheet) => (of.ready_at ? when(of.ready_at, of.zone) : "no date")
  return (
    <div className="try-bar surface-lit" role="status">
      <b>{words}</b>
      <dl>
        <div>
          <dt>Ready</dt>
          <dd>{differs(ready(sheet), then && ready(then))}</dd>
        </div>
        <div>
          <dt>Hands-on</dt>
          <dd>{differs(duration(sheet.hands_min), then && duration(then.hands_min))}</dd>
        </div>
      </dl>
      <button type="button" className="ui-tape" onClick={onKeep}>
        Save change
      </button>
      <button type="button" className="ui-button" onClick={onLeave}>
        Cancel
      </button>
    </div>
  )
}

const differs = (now: string, then: string | null) =>
  then === null ? `${now}, calculating` : now === then ? `${now}, no change` : `${then}, was ${now}`
