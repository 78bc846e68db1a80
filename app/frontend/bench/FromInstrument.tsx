import { ErrorText } from "@/components/ErrorText"
import { send } from "@/lib/api"
import { useAnswer, useSend } from "@/lib/requests"
import { duration } from "@/lib/time"
import type { HandInstrument } from "@/types"

const EVERY_MS = 3_000

type Props = {
  kind: string
  /** What should be there, where that is known: a stand-in is held on it. */
  near?: number[]
  now: number
  onValues: (values: number[][]) => void
}

/**
 * What instruments of the hand have sent in the last minutes, to be taken into a form. One that is silent, stale or
 * jumps says so; what is read can be typed instead.
 */
export function FromInstrument({ kind, near, now, onValues }: Props) {
  const { answer, ask } = useAnswer({
    key: ["hand readings", kind],
    ask: (signal) => send<{ instruments: HandInstrument[] }>("GET", `/readings?kind=${kind}`, undefined, signal),
    keep: true,
    quiet: true,
    every: () => EVERY_MS,
  })
  const { send: press, busy, error } = useSend()
  const instruments = answer?.instruments ?? []
  if (instruments.length === 0) return null
  return (
    <div className="from-instruments">
      {instruments.map((one) => {
        const sound = one.readings.filter(({ jump }) => !jump)
        const jumps = one.readings.length - sound.length
        return (
          <p key={one.id}>
            <span>
              <b>{one.name}</b>{" "}
              {sound.length > 0
                ? `${sound.map(({ value }) => value.join(" ")).join(", ")} ${one.unit}`
                : one.last_at === null
                  ? "has sent nothing yet"
                  : now - one.last_at > 10
                    ? `has sent nothing for ${duration(now - one.last_at)}`
                    : "nothing to take"}
              {jumps > 0 && `; ${jumps} left out: ${jumps === 1 ? "it jumps" : "they jump"}`}
            </span>
            {one.stand_in !== null && (
              <button
                type="button"
                className="ui-button"
                disabled={busy}
                onClick={() =>
                  void press(
                    () => send("POST", `/instruments/${one.id}/press`, { near }),
                    () => ask(),
                  )
                }
              >
                Read
              </button>
            )}
            <button
              type="button"
              className="ui-button"
              disabled={sound.length === 0}
              onClick={() => onValues(sound.map(({ value }) => value))}
            >
              Take it
            </button>
          </p>
        )
      })}
      <ErrorText reason={error} />
    </div>
  )
}
