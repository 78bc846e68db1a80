import { SelectField, Stepper } from "@/components/Field"
import type { OwnFiguresPage } from "@/types"

type Props = Pick<OwnFiguresPage, "said" | "works" | "said_range"> & {
  busy: boolean
  onSay: (work: string, factor: number | null) => void
}

/** How long hands take where somebody says it: it overrides the estimate and what the log teaches. */
export function SaidPaces({ said, works, said_range: [least, most], busy, onSay }: Props) {
  const open = works.filter(([id]) => !said.some((one) => one.id === id))
  return (
    <section className="mt-3" aria-label="Your own pace">
      <h3 className="text-head">Your own pace, times the estimate</h3>
      <p className="text-second text-fine">Overrides the estimate and the log.</p>
      <ul>
        {said.map((one) => (
          <li key={one.id} className="said-pace">
            <Stepper
              label={one.work}
              value={one.factor}
              by={0.1}
              least={least}
              most={most}
              disabled={busy}
              onChange={(factor) => onSay(one.id, factor)}
            />
            <button type="button" className="ui-button" disabled={busy} onClick={() => onSay(one.id, null)}>
              Reset
            </button>
          </li>
        ))}
      </ul>
      <SelectField
        label="Kind of work"
        value=""
        options={[["", "choose"], ...open]}
        onChange={(work) => work && onSay(work, 1)}
      />
    </section>
  )
}
