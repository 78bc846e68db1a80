import { soon } from "@/lib/time"
import type { Unsent } from "./unsent"

const KIND: Record<Unsent["kind"], string> = {
  started: "Start",
  done: "Done",
  dry_test: "Dry test",
  fault: "Fault",
  correction: "Take back",
}

type Props = { unsent: Unsent[]; now: number; zone: string; onAgain: (id: string) => void; onTakeBack: (id: string) => void }

/** Touches that the server does not have: those on their way, and those it refused with its sentence beside them. */
export function UnsentTouches({ unsent, now, zone, onAgain, onTakeBack }: Props) {
  const waiting = unsent.filter((touch) => !touch.refused)
  return (
    <>
      {waiting.length > 0 && (
        <p className="sub mb-2" role="status">
          <span className="pending">
            {waiting.length === 1 ? "One touch is" : `${waiting.length} touches are`} kept here, not yet sent.
          </span>
        </p>
      )}
      {unsent
        .filter((touch) => touch.refused)
        .map((touch) => (
          <div key={touch.client_id} className="trouble" role="alert">
            <p>
              <b>
                {KIND[touch.kind]}
                {touch.words ? `, ${touch.words}` : ""}, {soon(Math.floor(Date.parse(touch.happened_at) / 60_000), zone, now)}
              </b>{" "}
              was not taken: {touch.refused}
            </p>
            <button type="button" className="button" data-size="bench" onClick={() => onAgain(touch.client_id)}>
              Send again
            </button>
            <button type="button" className="button" data-size="bench" onClick={() => onTakeBack(touch.client_id)}>
              Take it back
            </button>
          </div>
        ))}
    </>
  )
}
