import type { LongSearch } from "@/types"

/** How the search for a better plan stands, where it has found nothing to take. */
export function LongerSearch({ search, onStop }: { search: LongSearch | undefined; onStop: () => void }) {
  return (
    <div className="longer-search text-fine text-second" role="status">
      {search?.state === "searching" && (
        <p>
          Looking for a better plan.{" "}
          <button type="button" className="ui-button" data-quiet onClick={onStop}>
            Stop
          </button>
        </p>
      )}
      {search?.state === "failed" && <p>{search.error}</p>}
      {search?.state === "stopped" && <p>The search for a better plan was stopped.</p>}
      {search?.state === "refused" && <p>Current plan kept.</p>}
      {search?.state === "found" && !search.better && <p>No better plan found in {search.builds} tries.</p>}
    </div>
  )
}
