import { router } from "@inertiajs/react"
import { Dialog } from "radix-ui"
import { useState } from "react"
import { ErrorText } from "@/components/ErrorText"
import { Panel } from "@/components/Panel"
import { sendFile } from "@/lib/api"
import { useSend } from "@/lib/requests"

type Report = {
  created: string[]
  updated: string[]
  same: string[]
  refused: { row: number; name: string; sentence: string }[]
  ignored: string[]
}

/** Products from a file, with what became of every row. */
export function ImportPanel() {
  const [report, setReport] = useState<Report | null>(null)
  const { send, error, busy } = useSend()
  const read = async (file: File | undefined) => {
    if (!file) return
    setReport(null)
    await send(
      () => sendFile<Report>("/products/import", file),
      (answer) => {
        setReport(answer)
        router.reload()
      },
    )
  }
  return (
    <Panel
      title="Products from a file"
      trigger={
        <Dialog.Trigger asChild>
          <button type="button" className="ui-button">
            File in
          </button>
        </Dialog.Trigger>
      }
    >
      <p className="text-second mt-2">
        CSV or JSON as it comes out here. A first row names the columns; maker, name and class are needed. A product
        that is known by its code or by maker and name is brought up to date. An empty cell takes a figure away, a
        column left out leaves it.
      </p>
      <label className="ui-field mt-3">
        <span className="text-label">File</span>
        <input
          type="file"
          className="ui-input"
          accept=".csv,.json,text/csv,application/json"
          disabled={busy}
          onChange={(event) => void read(event.target.files?.[0])}
        />
      </label>
      {busy && (
        <p className="text-head mt-3" role="status">
          Reading row by row
        </p>
      )}
      <ErrorText reason={error} />
      {report && (
        <section className="mt-3" aria-label="What became of the rows" role="status">
          <p className="text-head">
            {report.created.length} new, {report.updated.length} changed, {report.same.length} as they were,{" "}
            {report.refused.length} refused
          </p>
          {report.ignored.length > 0 && (
            <p className="text-second">Columns not known here, left out: {report.ignored.join(", ")}</p>
          )}
          {report.refused.length > 0 && (
            <table className="sheet-table mt-2">
              <thead>
                <tr>
                  <th>Row</th>
                  <th>Product</th>
                  <th>Why it was refused</th>
                </tr>
              </thead>
              <tbody>
                {report.refused.slice(0, 200).map((row) => (
                  <tr key={row.row}>
                    <td>{row.row}</td>
                    <td>{row.name}</td>
                    <td>{row.sentence}</td>
                  </tr>
                ))}
              </tbody>
            </table>
          )}
          {report.refused.length > 200 && <p className="text-second">and {report.refused.length - 200} more rows</p>}
        </section>
      )}
    </Panel>
  )
}
