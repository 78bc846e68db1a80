import type { Operation, Step } from "@/types"

type Props = { steps: Step[]; step: Step; onEdit: (operation: Operation) => void }

/** Where a step stands among the others: earlier, later, its last coat by itself, or gone. */
export function StepOrder({ steps, step, onEdit }: Props) {
  const at = steps.findIndex((candidate) => candidate.id === step.id)
  const coats = step.coats ?? 1
  return (
    <div className="step-order">
      <button
        type="button"
        className="ui-button"
        data-quiet
        disabled={at === 0}
        onClick={() => onEdit({ op: "move_step", id: step.id, after: steps[at - 2]?.id ?? null })}
      >
        Earlier
      </button>
      <button
        type="button"
        className="ui-button"
        data-quiet
        disabled={at === steps.length - 1}
        onClick={() => onEdit({ op: "move_step", id: step.id, after: steps[at + 1]?.id ?? null })}
      >
        Later
      </button>
      {coats > 1 && (
        <button
          type="button"
          className="ui-button"
          data-quiet
          aria-label="Split off last coat"
          onClick={() => onEdit({ op: "split_coats", id: step.id, keep: coats - 1 })}
        >
          Split off last
        </button>
      )}
      <button type="button" className="ui-button" data-quiet onClick={() => onEdit({ op: "remove_step", id: step.id })}>
        Remove
      </button>
    </div>
  )
}
