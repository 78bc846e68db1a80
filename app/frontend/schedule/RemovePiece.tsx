import { router } from "@inertiajs/react"
import { ErrorText } from "@/components/ErrorText"
import { Panel } from "@/components/Panel"
import { send as request } from "@/lib/api"
import { useSend } from "@/lib/requests"

type Props = { piece: { id: number; name: string }; logged: boolean; onClose: () => void }

/** Asks before a piece is deleted, or archived once work on it is in the log. */
export function RemovePiece({ piece, logged, onClose }: Props) {
  const { send, busy, error } = useSend()
  const verb = logged ? "Archive" : "Delete"
  return (
    <Panel
      title={`${verb} ${piece.name}`}
      open
      leave="Cancel"
      onOpenChange={(open) => !open && onClose()}
      action={
        <button
          type="button"
          className="ui-tape"
          disabled={busy}
          onClick={() =>
            void send(
              () => request("POST", `/pieces/${piece.id}/removal`),
              () => router.visit("/pieces"),
            )
          }
        >
          {verb} piece
        </button>
      }
    >
      <p className="mt-2">
        {logged
          ? "It leaves the bench and the plan. Its record stays."
          : "It leaves the plan. Nothing of it is in the record yet."}{" "}
        Restore it under Jobs and pieces within 30 days.
      </p>
      <ErrorText reason={error} />
    </Panel>
  )
}
