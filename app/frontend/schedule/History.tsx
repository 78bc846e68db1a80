import { ErrorText } from "@/components/ErrorText"
import { Panel } from "@/components/Panel"
import { send } from "@/lib/api"
import { useAnswer } from "@/lib/requests"
import { when } from "@/lib/time"
import type { Revision } from "@/types"

type Known = { revisions: (Revision & { standing: boolean })[]; head: number }

/** All revisions with their reasons; those that were undone stay readable. */
export function History({
  open,
  onOpenChange,
  url,
  zone,
}: {
  open: boolean
  onOpenChange: (open: boolean) => void
  url: string
  zone: string
}) {
  const { answer: known, error } = useAnswer({
    key: ["history", url],
    ask: (signal) => send<Known>("GET", `${url}/history`, undefined, signal),
    on: open,
  })
  return (
    <Panel title="What was changed, and why" open={open} onOpenChange={onOpenChange}>
      <ErrorText reason={error} />
      <table className="sheet-table mt-3">
        <thead>
          <tr>
            <th>No.</th>
            <th>When</th>
            <th>Change</th>
          </tr>
        </thead>
        <tbody>
          {known?.revisions.map((revision) => (
            <tr key={revision.number} className={revision.standing ? "" : "text-third"}>
              <td>{revision.number}</td>
              <td className="whitespace-nowrap">{when(revision.at, zone)}</td>
              <td>
                {revision.reason}
                {revision.number === known.head && <b> · in force</b>}
                {!revision.standing && " · left behind"}
              </td>
            </tr>
          ))}
        </tbody>
      </table>
    </Panel>
  )
}
