import { useState } from "react"
import { ErrorText } from "@/components/ErrorText"
import { Panel } from "@/components/Panel"
import { send as request } from "@/lib/api"
import { useSend } from "@/lib/requests"
import type { ClassPage } from "@/types"

type Props = { state: ClassPage; path: string; onChanged: (state: ClassPage) => void }

/** Takes the whole class off the piece, and brings it back. */
export function Unassign({ state, path, onChanged }: Props) {
  const [open, setOpen] = useState(false)
  const { send, busy, error } = useSend()
  const change = (method: "POST" | "DELETE") =>
    void send(
      () => request<ClassPage>(method, `${path}/removal`),
      (next) => {
        setOpen(false)
        onChanged(next)
      },
    )
  const count = state.places.length
  return (
    <div className="mt-4 flex flex-wrap items-center gap-3">
      {count > 0 && (
        <button type="button" className="ui-button" data-quiet onClick={() => setOpen(true)}>
          Remove the class
        </button>
      )}
      {count === 0 && state.removed && (
        <p role="status">
          The class was removed.{" "}
          <button type="button" className="ui-button" disabled={busy} onClick={() => change("DELETE")}>
            Restore the class
          </button>
        </p>
      )}
      {!open && <ErrorText reason={error} />}
      <Panel
        title="Remove the class"
        open={open}
        leave="Cancel"
        onOpenChange={setOpen}
        action={
          <button type="button" className="ui-tape" disabled={busy} onClick={() => change("POST")}>
            Remove {count === 1 ? "1 piece" : `${count} pieces`}
          </button>
        }
      >
        <p className="mt-2">
          The pieces of {count === 1 ? "one student" : `${count} students`} leave the bench and the plan. What is in the
          record stays, and the class can be restored.
        </p>
        <ErrorText reason={error} />
      </Panel>
    </div>
  )
}
