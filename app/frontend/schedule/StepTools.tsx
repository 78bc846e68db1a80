import type { useSheet } from "./useSheet"

type Props = {
  state: ReturnType<typeof useSheet>
  table: boolean
  onAdd: () => void
  onTable: () => void
}

/** What is done with the list of steps as a whole. */
export function StepTools({ state, table, onAdd, onTable }: Props) {
  return (
    <div className="step-tools">
      <button type="button" className="ui-button" onClick={onAdd}>
        New step
      </button>
      <button
        type="button"
        className="ui-button"
        disabled={!state.schedule.can_undo}
        onClick={state.undo}
        title={state.schedule.undoes ?? ""}
      >
        Undo
      </button>
      <button type="button" className="ui-button" disabled={!state.schedule.can_redo} onClick={state.redo}>
        Do again
      </button>
      <button type="button" className="ui-button" data-quiet onClick={onTable} aria-pressed={table}>
        {table ? "Drawing" : "Table"}
      </button>
    </div>
  )
}
