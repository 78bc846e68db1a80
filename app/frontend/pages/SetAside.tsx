import { Head, Link, router } from "@inertiajs/react"
import { useState } from "react"
import { PageHead } from "@/components/PageHead"
import { Shell } from "@/components/Shell"
import { Trouble } from "@/components/Trouble"
import { clientId, send as request } from "@/lib/api"
import { useSend } from "@/lib/requests"
import { when } from "@/lib/time"
import { History } from "@/schedule/History"
import type { SetAsidePage } from "@/types"

const KIND: Record<string, string> = { started: "Begun", done: "Done", dry_test: "Dry test", fault: "Fault" }

/** A piece that cannot be computed: why, and the ways back. The rest of the shop goes on without it. */
export default function SetAside({ aside, schedule, zone, latest }: SetAsidePage) {
  const { send, error, dismiss } = useSend()
  const [history, setHistory] = useState(false)
  const url = `/pieces/${aside.id}/schedule`
  const act = (path: string, body: object) =>
    send(
      () => request("POST", path, body),
      () => router.reload(),
    )
  const takeBack = (id: number) =>
    act("/entries", { kind: "correction", corrects: id, client_id: clientId(), happened_at: new Date().toISOString() })
  return (
    <Shell>
      <Head title={`${aside.name} is set aside`} />
      <PageHead title={aside.name} facts={aside.client} />
      <Trouble sentence={error?.sentence ?? ""} onRead={dismiss} />
      <section className="ui-empty surface-lit" aria-labelledby="aside">
        <h2 id="aside" className="panel-title">
          Set aside: this piece cannot be computed
        </h2>
        <p className="mt-2">{aside.reason}</p>
        <p className="text-second mt-2">Bench, plan and all other pieces go on without it. Nothing of it is lost.</p>
        {schedule.undoes && <p className="text-second mt-2">The last change: {schedule.undoes}</p>}
        <div className="mt-4 flex flex-wrap gap-2">
          <button
            type="button"
            className="ui-tape"
            disabled={!schedule.can_undo}
            onClick={() => act(`${url}/undo`, {})}
          >
            Undo the last change
          </button>
          <button
            type="button"
            className="ui-button"
            disabled={!schedule.can_redo}
            onClick={() => act(`${url}/redo`, {})}
          >
            Do again
          </button>
          <button type="button" className="ui-button" onClick={() => setHistory(true)}>
            History
          </button>
          <Link href={`/pieces/${aside.id}/edit`} className="ui-button">
            Change the piece
          </Link>
          <Link href="/shelf" className="ui-button">
            Go to the shelf
          </Link>
        </div>
        {latest.length > 0 && (
          <>
            <h3 className="text-head mt-5">Logged last</h3>
            <ul>
              {latest.map((entry) => (
                <li key={entry.id} className="thin-rule flex flex-wrap items-center gap-x-4 py-1">
                  <span>
                    {KIND[entry.kind] ?? entry.kind} {when(entry.at, zone)}
                  </span>
                  <span className="text-second text-fine">{entry.pass}</span>
                  <button type="button" className="ui-button ml-auto" data-quiet onClick={() => takeBack(entry.id)}>
                    Take it back
                  </button>
                </li>
              ))}
            </ul>
          </>
        )}
      </section>
      <History open={history} onOpenChange={setHistory} url={url} zone={zone} />
    </Shell>
  )
}
