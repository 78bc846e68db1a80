import { when } from "@/lib/time"
import type { Stale } from "./useSheet"

/** Somebody else edited: what they did, and the same edit once more on top of it. */
export function StaleBar({
  stale,
  zone,
  onReapply,
  onDrop,
}: {
  stale: Stale
  zone: string
  onReapply: () => void
  onDrop: () => void
}) {
  return (
    <div className="ui-trouble" role="alert">
      <div>
        <p className="text-head">The schedule has changed since you opened it</p>
        <ul>
          {stale.since.map((revision) => (
            <li key={revision.number}>
              {when(revision.at, zone)}: {revision.reason}
            </li>
          ))}
        </ul>
      </div>
      <button type="button" className="ui-button" data-tone="dark" onClick={onReapply}>
        Make my change on top
      </button>
      <button type="button" className="ui-button" onClick={onDrop}>
        Leave mine out
      </button>
    </div>
  )
}
