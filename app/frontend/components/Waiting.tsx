import { useIsFetching, useIsMutating } from "@tanstack/react-query"
import { isBusy } from "@/lib/requests"

/** Said as long as something of this page waits for the shop's computer to have time for it. */
export function Waiting() {
  const questions = useIsFetching({ predicate: ({ state }) => isBusy(state.fetchFailureReason) })
  const writes = useIsMutating({ predicate: ({ state }) => isBusy(state.failureReason) })
  return questions + writes > 0 ? <BusyNote /> : null
}

/** What is waited for, with a bar that moves. */
export function BusyNote() {
  return (
    <p className="busy-note" role="status">
      <progress aria-label="Waiting" />
      The shop's computer is busy with other work. This continues by itself.
    </p>
  )
}
