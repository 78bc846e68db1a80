import { SelectField, TextField } from "@/components/Field"
import { offered } from "@/schedule/words"
import type { ShelfItem, StepKind } from "@/types"
import { type Factor, FIELDS, type TrialStep } from "./factors"

type Props = {
  factors: Factor[]
  steps: TrialStep[]
  products: ShelfItem[]
  onChange: (factors: Factor[]) => void
  error?: string
}

/** What to vary: a step, what of it, and its levels. */
export function FactorRows({ factors, steps, products, onChange, error }: Props) {
  const set = (key: string, fields: Partial<Factor>) =>
    onChange(factors.map((factor) => (factor.key === key ? { ...factor, ...fields } : factor)))
  const open = steps.filter((step) => FIELDS.some((candidate) => candidate.kinds.includes(step.kind)))
  const add = () => {
    const step = open.find((candidate) => !factors.some((factor) => factor.step === candidate.id)) ?? open[0]
    const kind = step && FIELDS.find((candidate) => candidate.kinds.includes(step.kind))
    if (step && kind)
      onChange([...factors, { key: `f${Date.now()}`, step: step.id, field: kind.field, typed: kind.first(step.step) }])
  }
  return (
    <fieldset className="trial-factors">
      <legend className="text-head">What to vary</legend>
      {factors.map((factor) => {
        const step = steps.find((candidate) => candidate.id === factor.step)
        const kinds = FIELDS.filter((candidate) => step && candidate.kinds.includes(step.kind))
        return (
          <div key={factor.key} className="trial-factor">
            <SelectField
              label="Step"
              value={factor.step}
              options={open.map((candidate) => [candidate.id, candidate.words])}
              onChange={(id) => {
                const next = steps.find((candidate) => candidate.id === id)
                const kind = next && FIELDS.find((candidate) => candidate.kinds.includes(next.kind))
                if (next && kind) set(factor.key, { step: id, field: kind.field, typed: kind.first(next.step) })
              }}
            />
            <SelectField
              label="Its"
              value={factor.field}
              options={kinds.map((candidate) => [candidate.field, candidate.label])}
              onChange={(field) => {
                const kind = kinds.find((candidate) => candidate.field === field)
                if (kind && step) set(factor.key, { field: kind.field, typed: kind.first(step.step) })
              }}
            />
            {factor.field === "product" ? (
              <fieldset>
                <legend className="text-label">Products</legend>
                {step &&
                  offered(products, step.kind as StepKind).map((product) => (
                    <label key={product.id} className="ui-check">
                      <input
                        type="checkbox"
                        checked={factor.typed.split(", ").includes(product.id)}
                        onChange={(event) => {
                          const others = factor.typed.split(", ").filter((id) => id && id !== product.id)
                          set(factor.key, {
                            typed: (event.target.checked ? [...others, product.id] : others).join(", "),
                          })
                        }}
                      />
                      {product.name}
                    </label>
                  ))}
              </fieldset>
            ) : (
              <TextField label="Levels" value={factor.typed} onChange={(typed) => set(factor.key, { typed })} />
            )}
            <button
              type="button"
              className="ui-button"
              data-quiet
              onClick={() => onChange(factors.filter((other) => other.key !== factor.key))}
            >
              Do not vary this
            </button>
          </div>
        )
      })}
      {error && (
        <p className="error-text" role="alert">
          {error}
        </p>
      )}
      {factors.length < 7 && (
        <button type="button" className="ui-button" onClick={add}>
          {factors.length ? "Vary one thing more" : "Vary something"}
        </button>
      )}
    </fieldset>
  )
}
