import { duration, minuteOf, soon } from "@/lib/time"
import type { Kept } from "./kept"

type Props = {
  unsent: Kept[]
  waiting: boolean
  /** Why it waits, where the server said so. */
  trouble: string
  /** When that what is shown was answered last (ms), while the shop's computer is silent. */
  silentSince: number | null
  now: number
  zone: string
  /** Whose hands this device is in. */
  me?: string
  onClaim: (id: string) => void
  onAgain: (id: string) => void
  onLetGo: (id: string) => void
}

/**
 * How old what is shown is while nobody answers, touches that wait for the server, and those it refused with its
 * sentence beside them. A touch that is merely on its way says nothing: a line that came and went would move the button
 * under the next one.
 */
export function UnsentTouches({
  unsent,
  waiting,
  trouble,
  silentSince,
  now,
  zone,
  me,
  onClaim,
  onAgain,
  onLetGo,
}: Props) {
  const held = unsent.filter((touch) => touch.refused === undefined)
  const waits = waiting && held.length > 0
  return (
    <>
      {(waits || silentSince !== null) && (
        <div className="kept-here" role="status">
          <p>
            {silentSince !== null ? (
              <Silence since={Math.floor(silentSince / 60_000)} now={now} zone={zone} />
            ) : (
              trouble
            )}{" "}
            {waits && (
              <span className="ui-pending">
                {held.length === 1 ? "One touch is" : `${held.length} touches are`} kept here, not yet sent.
              </span>
            )}
          </p>
          {waits && (
            <details>
              <summary>{held.length === 1 ? "Which" : "Which, in their order"}</summary>
              <ol>
                {held.map((touch) => (
                  <li key={touch.client_id}>
                    {touch.words}, {soon(minuteOf(touch.body.happened_at), zone, now)}
                  </li>
                ))}
              </ol>
            </details>
          )}
        </div>
      )}
      {unsent
        .filter((touch) => touch.held)
        .map((touch) => (
          <div key={touch.client_id} className="ui-trouble" role="status">
            <p>
              <b>
                {touch.words}, {soon(minuteOf(touch.body.happened_at), zone, now)}
              </b>{" "}
              is kept on this device until {touch.whose} signs in.
            </p>
            {me && (
              <button type="button" className="ui-button" data-size="bench" onClick={() => onClaim(touch.client_id)}>
                Send as {me}
              </button>
            )}
          </div>
        ))}
      {unsent
        .filter((touch) => touch.refused !== undefined && !touch.held)
        .map((touch) => (
          <div key={touch.client_id} className="ui-trouble" role="alert">
            <p>
              <b>
                {touch.words}, {soon(minuteOf(touch.body.happened_at), zone, now)}
              </b>{" "}
              was not taken: {touch.refused}
            </p>
            {wayOn(touch) && (
              <a href={wayOn(touch)} className="ui-button" data-size="bench">
                See its schedule
              </a>
            )}
            <button type="button" className="ui-button" data-size="bench" onClick={() => onAgain(touch.client_id)}>
              Send again
            </button>
            <button type="button" className="ui-button" data-size="bench" onClick={() => onLetGo(touch.client_id)}>
              Take it back
            </button>
          </div>
        ))}
    </>
  )
}

const Silence = ({ since, now, zone }: { since: number; now: number; zone: string }) => (
  <>
    The shop's computer does not answer. What is shown here is of {soon(since, zone, now)}
    {now > since ? `, ${duration(now - since)} ago` : ""}.
  </>
)

/** Where what was refused can be looked at: the schedule of the piece that was touched. */
const wayOn = ({ body }: Kept): string | undefined => {
  const piece = /^p(\d+)\//.exec(String(body.pass ?? ""))?.[1]
  return piece && `/pieces/${piece}/schedule`
}
