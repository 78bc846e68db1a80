import { SelectField, Stepper } from "@/components/Field"
import { asTyped } from "@/lib/typed"
import { useMeasures } from "@/lib/units"
import type { Step } from "@/types"
import { FIELDS, WAYS } from "@/types/kinds"
import type { StepFieldsProps } from "./stepProps"

type Number = {
  field: "readings" | "length_m" | "spots" | "spot_cm2" | "wheel_mm" | "wheel_rpm" | "leaves_percent"
  label: string
  unit?: string
  by: number
  usual: number
  least?: number
  /** Only where this is so. */
  when?: (step: Step) => boolean
}

const isPatch = (step: Step) => step.way === "patch"
const onWheel = (step: Step) => step.polish_on === "wheel"

const NUMBERS: Number[] = [
  { field: "readings", label: "Readings", by: 1, usual: 3 },
  { field: "length_m", label: "Tape", unit: "m", by: 0.5, usual: 1 },
  { field: "spots", label: "Spots", by: 1, usual: 1 },
  { field: "spot_cm2", label: "Each", unit: "cm²", by: 1, usual: 2 },
  { field: "leaves_percent", label: "Film that is left", unit: "%", by: 10, usual: 0, least: 0 },
  { field: "wheel_mm", label: "Wheel", unit: "mm", by: 10, usual: 356, when: onWheel },
  { field: "wheel_rpm", label: "It turns", unit: "rpm", by: 50, usual: 600, when: onWheel },
]

type Choice = {
  field: "lubricant" | "polish_on" | "pull" | "deep"
  label: string
  options: [string, string][]
  when?: (step: Step) => boolean
}

const CHOICES: Choice[] = [
  {
    field: "lubricant",
    label: "Rubbed with",
    options: [
      ["", "nothing, dry"],
      ["water", "water"],
      ["soapy_water", "water and a drop of soap"],
      ["mineral_spirit", "mineral spirit"],
      ["oil", "mineral oil"],
    ],
  },
  {
    field: "polish_on",
    label: "On",
    options: [
      ["", "by hand"],
      ["cloth", "a cloth"],
      ["felt", "felt"],
      ["pad", "a foam pad"],
      ["wheel", "a wheel"],
    ],
  },
  {
    field: "deep",
    label: "Reaches",
    options: [
      ["", "into the film"],
      ["colour", "to the colour"],
      ["wood", "to the wood"],
    ],
    when: isPatch,
  },
  {
    field: "pull",
    label: "Tape comes off",
    options: [
      ["", "as the finish wants"],
      ["each_coat", "after each coat"],
      ["last_coat", "after the last coat"],
    ],
  },
]

const NO_WHEEL = { wheel_mm: null, wheel_rpm: null }

/** How deep a spot is, where it was measured; none: not measured. */
function DepthField({
  step,
  pending,
  error,
  onSet,
  near,
}: Pick<StepFieldsProps, "step" | "pending" | "error" | "onSet" | "near">) {
  const { film } = useMeasures()
  const deep = (shown: number) => ({ depth_um: shown > 0 ? Math.round(film.stored(shown) * 10) / 10 : null })
  return (
    <Stepper
      label="Depth"
      unit={film.unit}
      value={Number(film.number(step.depth_um ?? 0))}
      by={film.unit === "mil" ? 0.5 : 10}
      least={0}
      pending={pending("depth_um")}
      error={error("depth_um")}
      onChange={(shown) => onSet(deep(shown))}
      onTyped={(text) => onSet({ depth_um: asTyped(text) })}
      near={(shown) => near?.(deep(shown))}
    />
  )
}

/** Numbers and choices that only some kinds of work have. */
export function WorkFields({ step, pending, error, onSet, near }: StepFieldsProps) {
  const has = (field: string) => FIELDS[step.kind].includes(field)
  return (
    <>
      {NUMBERS.filter(({ field, when }) => has(field) && (when?.(step) ?? true)).map(
        ({ field, label, unit, by, usual, least }) => (
          <Stepper
            key={field}
            label={label}
            unit={unit}
            value={step[field] ?? usual}
            by={by}
            least={least ?? by}
            pending={pending(field)}
            error={error(field)}
            onChange={(value) => onSet({ [field]: value })}
            near={(value) => near?.({ [field]: value })}
          />
        ),
      )}
      {has("depth_um") && isPatch(step) && <DepthField {...{ step, pending, error, onSet, near }} />}
      {has("hold") && (
        <label className="line-choice">
          <input
            type="checkbox"
            checked={step.hold === true}
            onChange={(event) => onSet({ hold: event.target.checked || null })}
          />
          Nothing goes on until it is read
        </label>
      )}
      {CHOICES.filter(({ field, when }) => has(field) && (when?.(step) ?? true)).map(({ field, label, options }) => (
        <SelectField
          key={field}
          label={label}
          value={step[field] ?? ""}
          error={error(field)}
          options={options}
          onChange={(value) => onSet({ [field]: value || null, ...(field === "polish_on" ? NO_WHEEL : {}) })}
        />
      ))}
    </>
  )
}

/** How it is done, where there are several ways. */
export function WayField({ step, error, onSet }: StepFieldsProps) {
  const options = WAYS[step.kind] ?? []
  return (
    <SelectField
      label={step.kind === "measure" ? "What is read" : step.kind === "test" ? "With what" : "How"}
      value={step.way ?? options[0]?.[0] ?? ""}
      error={error("way")}
      options={options}
      onChange={(way) => onSet({ way })}
    />
  )
}

const ASKS: Partial<Record<Step["kind"], string>> = {
  strip: "With what, in words",
  clean: "With what, in words",
  sand: "Block or backer, with or across the grain",
  scrape: "With what, in words",
  look: "What to look for",
  mask: "What is masked",
  unmask: "What was masked",
  measure: "Where, or with what",
  fit: "To what",
}

/** A few words of one's own. */
export function WordsField({ step, error, onSet }: StepFieldsProps) {
  const value = step.asks ?? ""
  const wrong = error("asks")
  return (
    <form
      className="is-wide"
      key={value}
      onSubmit={(event) => {
        event.preventDefault()
        onSet({ asks: String(new FormData(event.currentTarget).get("asks")) || null })
      }}
    >
      <label className="ui-field">
        <span className="text-label">{ASKS[step.kind] ?? "In words"}</span>
        <input
          name="asks"
          className="ui-input"
          defaultValue={value}
          maxLength={200}
          aria-invalid={Boolean(wrong)}
          onBlur={(event) => event.target.value !== value && event.target.form?.requestSubmit()}
        />
      </label>
    </form>
  )
}

type Boxes = {
  legend: string
  chosen: string[]
  faces: string[]
  onChoose: (chosen: string[] | null) => void
  /** A face may be worked on again after the others. */
  again?: boolean
}

/** Which faces; all of them is what is left out. */
export function FaceBoxes({ legend, chosen, faces, onChoose, again }: Boxes) {
  return (
    <fieldset className="is-wide">
      <legend className="text-label">{legend}</legend>
      <div className="flex flex-wrap gap-x-4">
        {faces.map((face) => (
          <label key={face} className="flex min-h-11 items-center gap-2">
            <input
              type="checkbox"
              className="h-5 w-5"
              checked={chosen.includes(face)}
              disabled={chosen.length === 1 && chosen.includes(face)}
              onChange={(event) => {
                const next = faces.filter((name) => (name === face ? event.target.checked : chosen.includes(name)))
                onChoose(next.length === faces.length ? null : next)
              }}
            />
            {face}
          </label>
        ))}
      </div>
      {again && chosen.length > 1 && (
        <label className="line-choice">
          {chosen.length > new Set(chosen).size ? `${chosen.join(", ")}, then` : "And once more"}
          <select
            value=""
            onChange={(event) =>
              onChoose(event.target.value === "once" ? [...new Set(chosen)] : [...chosen, event.target.value])
            }
          >
            <option value="">choose a face</option>
            {[...new Set(chosen)].map((face) => (
              <option key={face} value={face}>
                {face} again
              </option>
            ))}
            {chosen.length > new Set(chosen).size && <option value="once">each once</option>}
          </select>
        </label>
      )}
    </fieldset>
  )
}
