import { SelectField, Stepper } from "@/components/Field"
import type { OwnFiguresPage } from "@/types"

type Props = Pick<OwnFiguresPage, "said" | "works"> & {
  busy: boolean
  onSay: (work: string, factor: number | null) => void
}

/** How long hands take where somebody says it: it goes before what is reckoned and what the log teaches. */
export function SaidPaces({ said, works, busy, onSay }: Props) {
  const open = works.filter(([id]) => !said.some((one) => one.id === id))
  return (
    <section className="mt-3" aria-label="Said by hand">
      <h3 className="text-head">Said by hand, times what is reckoned</h3>
      <p className="text-second text-fine">Goes before what is reckoned and what the log teaches.</p>
      <ul>
        {said.map((one) => (
          <li key={one.id} className="said-pace">
            <Stepper
              label={one.work}
              value={one.factor}
              by={0.1}
              least={0.2}
              most={5}
              disabled={busy}
              onChange={(factor) => onSay(one.id, factor)}
            />
            <button type="button" className="ui-button" disabled={busy} onClick={() => onSay(one.id, null)}>
              As reckoned
            </button>
          </li>
        ))}
      </ul>
      <SelectField
        label="Say it of"
        value=""
        options={[["", "choose a kind of work"], ...open]}
        onChange={(work) => work && onSay(work, 1)}
      />
    </section>
  )
}
