import { useEffect } from "react"
import { ErrorText } from "@/components/ErrorText"
import { send as request } from "@/lib/api"
import { useAnswer, useSend } from "@/lib/requests"
import { soon } from "@/lib/time"
import type { BackupsPage, FindingOfDoctor } from "@/types"

const DRILL = "/shop/backups/drill"
const AGAIN_MS = 2000

type Props = { state: BackupsPage; now: number; onState: (state: BackupsPage) => void }

/** What is well in the shop's file and what is not, and the last restore that was tried beside it. */
export function Health({ state, now, onState }: Props) {
  const { answer, error } = useAnswer({
    key: ["doctor"],
    ask: (signal) => request<{ findings: FindingOfDoctor[] }>("GET", "/shop/backups/doctor", undefined, signal),
    quiet: true,
  })
  const { send, busy, error: refused } = useSend()
  const { answer: newer } = useAnswer({
    key: ["drill"],
    ask: (signal) => request<BackupsPage>("GET", DRILL, undefined, signal),
    on: state.trying,
    quiet: true,
    every: (last) => (last && !last.trying ? false : AGAIN_MS),
  })
  useEffect(() => {
    if (newer && !newer.trying) onState(newer)
  }, [newer, onState])
  const { drill, trying, zone } = state
  return (
    <section className="shop-health" aria-labelledby="health">
      <h2 id="health" className="text-head">
        Health
      </h2>
      <ErrorText reason={error} />
      {!answer && !error && (
        <p className="text-second" role="status">
          Checking the shop
        </p>
      )}
      <ul>
        {answer?.findings
          .filter(({ of }) => of !== "drill")
          .map(({ of, good, sentence }) => (
            <li key={of} data-good={good ?? "told"}>
              {sentence}
            </li>
          ))}
        <li data-good={drill?.good ?? "told"}>
          {drill === null
            ? "No restore has been tried yet. One is tried every week."
            : `Restore tried ${soon(drill.at, zone, now)} with the backup of ${soon(drill.of, zone, now)}: ${
                drill.good ? "it worked, and every page could be read." : drill.sentences.join(" ")
              }`}
        </li>
      </ul>
      <button
        type="button"
        className="ui-button"
        disabled={busy || trying}
        onClick={() => void send(() => request<BackupsPage>("POST", DRILL, {}), onState)}
      >
        {trying ? "Trying a restore" : "Try a restore now"}
      </button>
      {trying && (
        <p className="text-second mt-2" role="status">
          The last backup is being restored next to the shop and read through. That takes about a minute; work can go
          on.
        </p>
      )}
      <ErrorText reason={refused} />
    </section>
  )
}
