import { discardUnsaved, useLeaving } from "@/lib/unsaved"
import { Panel } from "./Panel"

/** Asks before a page with unsaved changes is left. */
export function Unsaved() {
  const [leave, stay] = useLeaving()
  return (
    <Panel
      title="Unsaved changes"
      open={leave !== null}
      leave="Cancel"
      onOpenChange={(open) => !open && stay()}
      action={
        <button
          type="button"
          className="ui-tape"
          onClick={() => {
            discardUnsaved()
            stay()
            leave?.()
          }}
        >
          Discard changes
        </button>
      }
    >
      <p className="mt-2">What you changed on this page is not saved. Leave without saving?</p>
    </Panel>
  )
}
