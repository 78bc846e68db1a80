import { SelectField, Stepper } from "@/components/Field"
import { useMeasures } from "@/lib/units"
import type { Step } from "@/types"
import { MaterialFields } from "./MaterialFields"
import type { StepFieldsProps, StepSet } from "./stepProps"
import { FAR_MILESTONES } from "./words"

/** Everything a step can be told, by its kind; each change goes to the server at once. */
export function StepFields(props: StepFieldsProps) {
  const { step } = props
  return (
    <div className="step-fields">
      {(step.kind === "coat" || step.kind === "stain") && <MaterialFields {...props} />}
      {(step.kind === "sand" || step.kind === "level") && <AbrasiveFields {...props} />}
      {step.kind === "wait" && <WaitFields {...props} />}
      {step.kind === "look" && <LookFields {...props} />}
    </div>
  )
}

/** Where it is worked, and which faces it is for. */
export function WhereFields({ step, rooms, faces, homeRoom, onSet, error }: StepFieldsProps) {
  const { temperature } = useMeasures()
  return (
    <>
      {rooms.length > 0 && (
        <SelectField
          label="Room"
          value={step.room ?? homeRoom}
          error={error("room")}
          options={rooms.map((room) => [room.name, `${room.name}, ${temperature.text(room.t_c)} ${room.rh} %`])}
          onChange={(room) => onSet({ room })}
        />
      )}
      {faces.length > 1 && <FaceBoxes chosen={step.faces ?? faces} faces={faces} onSet={onSet} />}
    </>
  )
}

function AbrasiveFields({ step, error, onSet, pending }: StepFieldsProps) {
  return (
    <>
      <GritsField grits={step.grits ?? []} error={error("grits")} onSet={onSet} />
      {step.kind === "level" && (
        <>
          <SelectField
            label="What it is for"
            value={step.aim ?? "scuff"}
            options={[
              ["denib", "take off nibs (denib)"],
              ["scuff", "key for the next coat (scuff)"],
              ["between", "flatten for the next coat"],
              ["rub_out", "level to the final sheen"],
            ]}
            onChange={(aim) => onSet({ aim: aim as Step["aim"] })}
          />
          <Stepper
            label="Takes off"
            unit={step.removes_um === undefined ? "µm (as reckoned)" : "µm"}
            value={step.removes_um ?? 0}
            by={1}
            least={0}
            pending={pending("removes_um")}
            error={error("removes_um")}
            onChange={(um) => onSet({ removes_um: um === 0 ? null : um })}
          />
        </>
      )}
    </>
  )
}

function GritsField({ grits, error, onSet }: { grits: string[]; error?: string; onSet: (set: StepSet) => void }) {
  return (
    <form
      className="is-wide"
      key={grits.join()}
      onSubmit={(event) => {
        event.preventDefault()
        const typed = String(new FormData(event.currentTarget).get("grits"))
        onSet({ grits: typed.split(/[\s,;]+/).filter(Boolean) })
      }}
    >
      <label className="ui-field">
        <span className="text-label">Grits, in order</span>
        <input
          name="grits"
          className="ui-input"
          defaultValue={grits.join(", ")}
          aria-invalid={Boolean(error)}
          onBlur={(event) => event.target.value !== grits.join(", ") && event.target.form?.requestSubmit()}
        />
        {error && (
          <span className="error-text" role="alert">
            {error}
          </span>
        )}
      </label>
    </form>
  )
}

function WaitFields({ step, error, onSet, pending }: StepFieldsProps) {
  return (
    <>
      <SelectField
        label="Wait for"
        value={step.milestone ?? "minutes"}
        options={[["minutes", "a length of time"], ...FAR_MILESTONES]}
        onChange={(value) =>
          onSet(
            value === "minutes"
              ? { milestone: null, minutes: step.minutes ?? 60 }
              : { milestone: value as Step["milestone"], minutes: null },
          )
        }
      />
      {step.minutes !== undefined && (
        <Stepper
          label="Wait"
          unit="min"
          value={step.minutes}
          by={15}
          least={1}
          pending={pending("minutes")}
          error={error("minutes")}
          onChange={(minutes) => onSet({ minutes })}
        />
      )}
    </>
  )
}

function LookFields({ step, onSet, error }: StepFieldsProps) {
  return (
    <>
      <SelectField
        label="Look once it is"
        value={step.milestone ?? "dust_safe"}
        options={FAR_MILESTONES}
        onChange={(value) => onSet({ milestone: value as Step["milestone"] })}
      />
      <form
        className="is-wide"
        key={step.asks}
        onSubmit={(event) => {
          event.preventDefault()
          onSet({ asks: String(new FormData(event.currentTarget).get("asks")) || null })
        }}
      >
        <TextArea name="asks" label="What to look for" value={step.asks ?? ""} error={error("asks")} />
      </form>
    </>
  )
}

function TextArea({ name, label, value, error }: { name: string; label: string; value: string; error?: string }) {
  return (
    <label className="ui-field">
      <span className="text-label">{label}</span>
      <input
        name={name}
        className="ui-input"
        defaultValue={value}
        aria-invalid={Boolean(error)}
        onBlur={(event) => event.target.value !== value && event.target.form?.requestSubmit()}
      />
    </label>
  )
}

function FaceBoxes({ chosen, faces, onSet }: { chosen: string[]; faces: string[]; onSet: (set: StepSet) => void }) {
  return (
    <fieldset className="is-wide">
      <legend className="text-label">Faces</legend>
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
                onSet({ faces: next.length === faces.length ? null : next })
              }}
            />
            {face}
          </label>
        ))}
      </div>
    </fieldset>
  )
}
