import { useState } from "react"
import { SelectField, Stepper, TextField } from "@/components/Field"
import { Panel } from "@/components/Panel"
import { day } from "@/lib/time"
import { useMeasures } from "@/lib/units"
import type { BookParameter, BookRecipe } from "@/types"

type Props = {
  recipe: BookRecipe
  zone: string
  values: Record<string, number | string>
  busy: boolean
  onVersion: (number: number) => void
  onValue: (key: string, value: number | string) => void
  onChange: (fields: { parameters?: string[]; name?: string; says?: string }) => void
  onRemove: () => void
}

const USES: Record<string, string> = {
  show: "show piece",
  furniture: "furniture",
  table_top: "table top",
  bar_top: "bar top",
  floor: "floor",
  marine: "outdoors",
}

/** One recipe: what it was made on, its steps, and what may be varied of them. */
export function Recipe({ recipe, zone, values, busy, onVersion, onValue, onChange, onRemove }: Props) {
  const { film } = useMeasures()
  const [naming, setNaming] = useState(false)
  const offered = recipe.parameters.filter((one) => one.offered)
  return (
    <section aria-label={recipe.name} className="book-recipe">
      <h2 className="panel-title">{recipe.name}</h2>
      <p className="text-second">
        {[
          recipe.wood && `Made on ${recipe.wood}`,
          recipe.use && USES[recipe.use],
          recipe.film_um && `${film.text(recipe.film_um)} dry`,
        ]
          .filter(Boolean)
          .join(", ")}
        {recipe.says && <span className="block">{recipe.says}</span>}
      </p>
      <ol className="way-steps mt-2">
        {recipe.steps.map((words, index) => (
          // biome-ignore lint/suspicious/noArrayIndexKey: steps are told in their order
          <li key={index}>{words}</li>
        ))}
      </ol>
      {offered.length > 0 && (
        <fieldset className="book-parameters">
          <legend className="text-head">Set for this piece</legend>
          {offered.map((one) => (
            <Parameter
              key={one.key}
              one={one}
              value={values[one.key] ?? one.value}
              onValue={(value) => onValue(one.key, value)}
            />
          ))}
        </fieldset>
      )}
      <div className="book-foot">
        {recipe.versions.length > 1 && (
          <SelectField
            label="Version"
            value={String(recipe.number)}
            options={[...recipe.versions]
              .reverse()
              .map((one) => [String(one.number), `${one.number}, ${day(one.at, zone)}: ${one.reason}`])}
            onChange={(number) => onVersion(Number(number))}
          />
        )}
        <div className="flex flex-wrap gap-2 mt-2">
          <a className="ui-button" href={`/pieces/book/${recipe.id}?version=${recipe.number}`} download>
            Save as a file
          </a>
          <button type="button" className="ui-button" onClick={() => setNaming(true)}>
            Name and what is varied
          </button>
          {recipe.used_by.length === 0 && (
            <button type="button" className="ui-button" data-quiet disabled={busy} onClick={onRemove}>
              Take it out of the book
            </button>
          )}
        </div>
        {recipe.used_by.length > 0 && (
          <p className="text-second text-fine mt-2">
            On{" "}
            {recipe.used_by
              .map((one) => `${one.name}${one.number === latest(recipe) ? "" : ` (version ${one.number})`}`)
              .join(", ")}
            .
          </p>
        )}
      </div>
      {naming && <Naming recipe={recipe} onChange={onChange} onClose={() => setNaming(false)} />}
    </section>
  )
}

const latest = (recipe: BookRecipe) => Math.max(...recipe.versions.map((one) => one.number))

type ParameterProps = { one: BookParameter; value: number | string; onValue: (value: number | string) => void }

function Parameter({ one, value, onValue }: ParameterProps) {
  const label = `${one.step}. ${one.name}`
  if (one.choices.length > 0)
    return (
      <SelectField
        label={label}
        value={String(value)}
        options={one.choices.map((choice): [string, string] => [choice, choice])}
        onChange={onValue}
      />
    )
  return (
    <Stepper
      label={label}
      unit={one.unit ?? undefined}
      value={Number(value)}
      by={one.by ?? 1}
      least={one.least ?? undefined}
      most={one.most ?? undefined}
      onChange={onValue}
    />
  )
}

type NamingProps = Pick<Props, "recipe" | "onChange"> & { onClose: () => void }

/** Its name, what it is for, and which of its figures are asked for each time. */
function Naming({ recipe, onChange, onClose }: NamingProps) {
  const [name, setName] = useState(recipe.name)
  const [says, setSays] = useState(recipe.says ?? "")
  const [keys, setKeys] = useState(recipe.parameters.filter((one) => one.offered).map((one) => one.key))
  return (
    <Panel
      title={recipe.name}
      open
      onOpenChange={(open) => !open && onClose()}
      leave="Cancel"
      action={
        <button
          type="button"
          className="ui-tape"
          onClick={() => {
            onChange({ name, says, parameters: keys })
            onClose()
          }}
        >
          Keep it so
        </button>
      }
    >
      <div className="mt-4 grid gap-3">
        <TextField label="Name" value={name} onChange={setName} />
        <TextField label="What it is for" value={says} onChange={setSays} />
        <fieldset className="grid">
          <legend className="text-label">Asked for each piece</legend>
          {recipe.parameters.map((one) => (
            <label key={one.key} className="book-check">
              <input
                type="checkbox"
                checked={keys.includes(one.key)}
                onChange={() =>
                  setKeys(keys.includes(one.key) ? keys.filter((key) => key !== one.key) : [...keys, one.key])
                }
              />
              {one.step}. {one.label}
            </label>
          ))}
        </fieldset>
      </div>
    </Panel>
  )
}
