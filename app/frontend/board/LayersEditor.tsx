import { useEffect, useState } from "react"
import { Panel } from "@/components/Panel"
import { StepFields } from "@/schedule/detail/StepFields"
import { TintFields } from "@/schedule/detail/TintFields"
import { freeId } from "@/schedule/words"
import type { Cell, ErrorReason, ShelfItem, Step, StepOffer } from "@/types"
import { FIELDS, FILM_KINDS, KIND_NAMES } from "@/types/kinds"

type Props = {
  open: boolean
  onOpenChange: (open: boolean) => void
  cell: Cell
  shelf: ShelfItem[]
  offers: StepOffer[]
  error: ErrorReason | null
  onKeep: (layers: Step[]) => Promise<boolean>
}

/** The layers of a cell, made in place. */
export function LayersEditor({ open, onOpenChange, cell, shelf, offers, error, onKeep }: Props) {
  const [steps, setSteps] = useState<Step[]>(cell.layers)
  useEffect(() => {
    if (open) setSteps(cell.layers)
  }, [open, cell.layers])
  const change = (id: string, set: { [K in keyof Step]?: Step[K] | null }) =>
    setSteps(
      steps.map((step) =>
        step.id === id
          ? (Object.fromEntries(
              Object.entries({ ...step, ...set }).filter(([, value]) => value !== null),
            ) as unknown as Step)
          : step,
      ),
    )
  return (
    <Panel
      title={`Layers of cell ${cell.label}, wood first`}
      open={open}
      onOpenChange={onOpenChange}
      leave="Cancel"
      action={
        <button type="button" className="ui-tape" onClick={async () => (await onKeep(steps)) && onOpenChange(false)}>
          Keep the layers
        </button>
      }
    >
      <ol className="mt-3 grid gap-4">
        {steps.map((step, index) => (
          <li key={step.id} className="thin-rule pt-3">
            <div className="mb-2 flex items-center justify-between">
              <span className="text-head">
                {index + 1} {KIND_NAMES[step.kind]}
              </span>
              <button
                type="button"
                className="ui-button"
                data-quiet
                onClick={() => setSteps(steps.filter((other) => other !== step))}
              >
                Remove
              </button>
            </div>
            <StepFields
              step={step}
              shelf={shelf}
              rooms={[]}
              faces={[]}
              homeRoom=""
              pending={() => false}
              error={() => undefined}
              onSet={(set) => change(step.id, set)}
            />
            {FIELDS[step.kind].includes("tint") && (
              <TintFields step={step} shelf={shelf} onSet={(set) => change(step.id, set)} />
            )}
            {FILM_KINDS.includes(step.kind) && (
              <label className="ui-field mt-2">
                <span className="text-label">Wet film, µm</span>
                <input
                  className="ui-input"
                  type="number"
                  min={1}
                  max={500}
                  value={step.wet_um ?? ""}
                  onChange={(event) => change(step.id, { wet_um: Number(event.target.value) })}
                />
              </label>
            )}
          </li>
        ))}
      </ol>
      <div className="mt-4 flex flex-wrap gap-2">
        {offers.map(({ id, name, step, wants }) => (
          <button
            key={id}
            type="button"
            className="ui-button"
            disabled={!step}
            title={step ? undefined : `Put ${wants ?? "a product"} on the shelf first`}
            onClick={() => step && setSteps([...steps, { ...step, id: freeId(steps) }])}
          >
            + {name}
          </button>
        ))}
      </div>
      {error && (
        <p className="error-text mt-3" role="alert">
          {error.sentence}
        </p>
      )}
    </Panel>
  )
}
