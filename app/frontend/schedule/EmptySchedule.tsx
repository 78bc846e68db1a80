import { Link } from "@inertiajs/react"
import { useRunsShop } from "@/lib/me"

/** A schedule without steps shows the way to one, and teaches its first step. */
export function EmptySchedule({ piece, onAdd }: { piece: number; onAdd: () => void }) {
  const runsShop = useRunsShop()
  return (
    <section className="ui-empty surface-lit">
      <h2 className="panel-title">No steps yet</h2>
      <p className="text-second">
        Begin as at the bench: sand the bare wood, raise the grain if water goes on, colour, seal, build. Each step is
        planned into the shop's hours as soon as it is there, and the film grows in this place.
      </p>
      <div className="mt-4 flex flex-wrap gap-3">
        {runsShop && (
          <>
            <Link href={`/pieces/${piece}/ways`} className="ui-tape">
              See which ways would do
            </Link>
            <Link href={`/pieces/book?piece=${piece}`} className="ui-button" data-size="bench">
              Take one from the recipe book
            </Link>
          </>
        )}
        <button type="button" className={runsShop ? "ui-button" : "ui-tape"} data-size="bench" onClick={onAdd}>
          Add the first step <span className="text-fine">N</span>
        </button>
      </div>
      <p className="text-second mt-4">Or promote a cell of a sample board: its layers become the steps.</p>
    </section>
  )
}
