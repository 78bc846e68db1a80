import { soon } from "@/lib/time"
import type { Unsent } from "./touch"

const KIND: Record<Unsent["kind"], string> = {
  started: "Start",
  done: "Done",
  dry_test: "Dry test",
  fault: "Fault",
  acknowledged: "Cautions read",
  rags: "Rags dealt with",
  correction: "Take back",
}

type Props = {
  unsent: Unsent[]
  waiting: boolean
  now: number
  zone: string
  onAgain: (id: string) => void
  onTakeBack: (id: string) => void
}

/**
 * Touches that the server does not have: those that wait for it, and those it refused with its sentence beside them.
 * One that is merely on its way says nothing: a line that came and went would move the button under the next touch.
 */
export function UnsentTouches({ unsent, waiting, now, zone, onAgain, onTakeBack }: Props) {
  const held = unsent.filter((touch) => !touch.refused)
  return (
    <>
      {waiting && held.length > 0 && (
        <p className="text-second mb-2" role="status">
          <span className="ui-pending">
            {held.length === 1 ? "One touch is" : `${held.length} touches are`} kept here, not yet sent.
          </span>
        </p>
      )}
      {unsent
        .filter((touch) => touch.refused)
        .map((touch) => (
          <div key={touch.client_id} className="ui-trouble" role="alert">
            <p>
              <b>
                {KIND[touch.kind]}
                {touch.words ? `, ${touch.words}` : ""},{" "}
                {soon(Math.floor(Date.parse(touch.happened_at) / 60_000), zone, now)}
              </b>{" "}
              was not taken: {touch.refused}
            </p>
            <button type="button" className="ui-button" data-size="bench" onClick={() => onAgain(touch.client_id)}>
              Send again
            </button>
            <button type="button" className="ui-button" data-size="bench" onClick={() => onTakeBack(touch.client_id)}>
              Take it back
            </button>
          </div>
        ))}
    </>
  )
}
