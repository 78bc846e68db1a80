import { Panel } from "@/components/Panel"
import type { ShelfItem, Step } from "@/types"
import { freeId, freshStep, KINDS } from "./words"

type Props = {
  open: boolean
  onOpenChange: (open: boolean) => void
  steps: Step[]
  afterWords: string
  shelf: ShelfItem[]
  /** What has to be on the shelf, by kind of step. */
  wants: Record<string, string>
  onAdd: (step: Step) => void
}

/** New step: choose its kind, then change it in place. */
export function AddStep({ open, onOpenChange, steps, afterWords, shelf, wants, onAdd }: Props) {
  return (
    <Panel title={`New step ${afterWords}`} open={open} onOpenChange={onOpenChange}>
      <div className="mt-4 grid gap-2">
        {KINDS.map(([kind, words, says]) => {
          const step = freshStep(kind, freeId(steps), shelf)
          return (
            <button
              key={kind}
              type="button"
              className="ui-button kind-button"
              disabled={!step}
              onClick={() => step && onAdd(step)}
            >
              <span>{words}</span>
              <span className="text-second text-fine">
                {step ? says : `Put ${wants[kind] ?? "a product"} on the shelf first`}
              </span>
            </button>
          )
        })}
      </div>
    </Panel>
  )
}
