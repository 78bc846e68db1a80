/** A schedule without steps teaches its first one. */
export function EmptySchedule({ onAdd }: { onAdd: () => void }) {
  return (
    <section className="ui-empty surface-lit">
      <h2 className="panel-title">No steps yet</h2>
      <p className="text-second">
        Begin as at the bench: sand the bare wood, raise the grain if water goes on, colour, seal, build. Each step is
        planned into the shop's hours as soon as it is there, and the film grows in this place.
      </p>
      <button type="button" className="ui-tape mt-4" onClick={onAdd}>
        Add the first step <span className="text-fine">N</span>
      </button>
      <p className="text-second mt-4">Or promote a cell of a sample board: its layers become the steps.</p>
    </section>
  )
}
