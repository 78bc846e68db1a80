import { Link } from "@inertiajs/react"
import { SelectField, Stepper } from "@/components/Field"
import type { ShelfItem, Step } from "@/types"
import { FIELDS } from "@/types/kinds"
import type { StepSet } from "./stepProps"

type Props = {
  step: Step
  shelf: ShelfItem[]
  /** Where the colour desk finds a recipe for this very step. */
  desk?: string
  pending?: (field: string) => boolean
  error?: (field: string) => string | undefined
  onSet: (set: StepSet) => void
  /** What a hand is about to set. */
  near?: (set: StepSet) => void
}

const MOST = 4
const FIRST_PERCENT = 1

/** Which colourants are in the mix, each a share of all of it by weight; of a stain, how strong it is made. */
export function TintFields({ step, shelf, desk, pending, error, onSet, near }: Props) {
  const parts = step.tint ?? []
  const item = shelf.find((candidate) => candidate.id === step.product)
  const names = new Map(shelf.map((candidate) => [candidate.id, candidate.name]))
  const free = (item?.tints ?? []).filter((id) => !parts.some((part) => part.product === id))
  const tinted = (tint: NonNullable<Step["tint"]>): StepSet => ({ tint: tint.length ? tint : null })
  const strong = (percent: number): StepSet => ({ strength_percent: percent === 100 ? null : percent })
  const keep = (tint: NonNullable<Step["tint"]>) => onSet(tinted(tint))
  const withShare = (part: { product: string; percent: number }, percent: number) =>
    percent > 0
      ? parts.map((other) => (other === part ? { ...other, percent } : other))
      : parts.filter((other) => other !== part)
  const wrong = error?.("tint")
  if (!item) return <p className="text-second">Say first what it is mended with.</p>
  return (
    <div className="tint-fields">
      {FIELDS[step.kind].includes("strength_percent") && step.kind === "stain" && (
        <Stepper
          label={`${item?.name ?? "Stain"}, of its strength`}
          unit="%"
          value={step.strength_percent ?? 100}
          by={5}
          least={1}
          most={400}
          pending={pending?.("strength_percent")}
          error={error?.("strength_percent")}
          onChange={(percent) => onSet(strong(percent))}
          near={(percent) => near?.(strong(percent))}
        />
      )}
      {parts.map((part) => (
        <div key={part.product} className="tint-row">
          <Stepper
            label={names.get(part.product) ?? part.product}
            unit="% by weight"
            value={part.percent}
            by={0.5}
            least={0}
            most={90}
            pending={pending?.("tint")}
            onChange={(percent) => keep(withShare(part, percent))}
            near={(percent) => near?.(tinted(withShare(part, percent)))}
          />
          <button
            type="button"
            className="ui-button"
            data-quiet
            aria-label={`Leave out ${names.get(part.product) ?? part.product}`}
            onClick={() => keep(parts.filter((other) => other !== part))}
          >
            Leave out
          </button>
        </div>
      ))}
      {free.length > 0 && parts.length < MOST && (
        <SelectField
          label={parts.length ? "Add another colourant" : "Colour it with"}
          value=""
          options={[["", "choose a colourant"], ...free.map((id): [string, string] => [id, names.get(id) ?? id])]}
          onChange={(id) => id && keep([...parts, { product: id, percent: FIRST_PERCENT }])}
        />
      )}
      {item && free.length + parts.length === 0 && (
        <p className="text-second">No colourant on the shelf goes into {item.name}.</p>
      )}
      {wrong && (
        <p className="error-text" role="alert">
          {wrong}
        </p>
      )}
      {desk && (
        <p>
          <Link href={desk} className="quiet-link">
            Find it at the colour desk
          </Link>
        </p>
      )}
    </div>
  )
}
