import { Dialog } from "radix-ui"
import type { ShelfItem, Step } from "@/types"
import { freeId, freshStep, KINDS } from "./words"

type Props = {
  open: boolean
  onOpenChange: (open: boolean) => void
  steps: Step[]
  after: string | null
  afterWords: string
  shelf: ShelfItem[]
  onAdd: (step: Step) => void
}

/** New step: choose its kind, then change it in place. */
export function AddStep({ open, onOpenChange, steps, afterWords, shelf, onAdd }: Props) {
  return (
    <Dialog.Root open={open} onOpenChange={onOpenChange}>
      <Dialog.Portal>
        <Dialog.Overlay className="dialog-shade" />
        <Dialog.Content className="dialog" aria-describedby={undefined}>
          <Dialog.Title className="panel-title">New step {afterWords}</Dialog.Title>
          <div className="mt-4 grid gap-2">
            {KINDS.map(([kind, words, says]) => {
              const step = freshStep(kind, freeId(steps), shelf)
              return (
                <button key={kind} type="button" className="button kind-button" disabled={!step} onClick={() => step && onAdd(step)}>
                  <span>{words}</span>
                  <span className="sub small">{step ? says : "No product on the shelf for this yet"}</span>
                </button>
              )
            })}
          </div>
          <Dialog.Close className="button mt-4">Close</Dialog.Close>
        </Dialog.Content>
      </Dialog.Portal>
    </Dialog.Root>
  )
}
