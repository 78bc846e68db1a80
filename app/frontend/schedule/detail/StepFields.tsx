import { SelectField, Stepper } from "@/components/Field"
import { asTyped } from "@/lib/typed"
import { useMeasures } from "@/lib/units"
import type { Step } from "@/types"
import { FIELDS } from "@/types/kinds"
import { FAR_MILESTONES } from "../words"
import { GritsField } from "./GritsField"
import { MaterialFields } from "./MaterialFields"
import type { StepFieldsProps } from "./stepProps"
import { FaceBoxes, WayField, WordsField, WorkFields } from "./WorkFields"

/** Everything a step can be told, by the fields that its kind has; each change goes to the server at once. */
export function StepFields(props: StepFieldsProps) {
  const { step } = props
  const has = (field: keyof Step) => FIELDS[step.kind].includes(field)
  return (
    <div className="step-fields">
      {has("way") && step.kind !== "fill" && <WayField {...props} />}
      {has("product") && <MaterialFields {...props} />}
      {has("grits") && rubs(step) && <GritsField {...props} />}
      {step.kind !== "fill" && <WorkFields {...props} />}
      {has("aim") && <AimField {...props} />}
      {has("removes_um") && <RemovesField {...props} />}
      {has("minutes") && <WaitFields {...props} />}
      {has("milestone") && !has("minutes") && <MilestoneField {...props} />}
      {has("asks") && <WordsField {...props} />}
    </div>
  )
}

/** A filling says what it is rubbed with beside its other ways; only sanding strips with papers. */
const rubs = (step: Step) => step.kind !== "fill" && (step.kind !== "strip" || step.way === "sanding")

/** Where it is worked, and which faces it is for. */
export function WhereFields({ step, rooms, faces, homeRoom, onSet, near, error }: StepFieldsProps) {
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
          near={(room) => near?.({ room })}
        />
      )}
      {faces.length > 1 && (
        <FaceBoxes
          legend="Faces"
          chosen={step.faces ?? faces}
          faces={faces}
          onChoose={(chosen) => onSet({ faces: chosen })}
          again={FIELDS[step.kind].includes("product")}
        />
      )}
    </>
  )
}

/** How long it takes, where that is known better than the estimate. */
export function HoursField({ step, pending, error, onSet, near }: StepFieldsProps) {
  const own = (minutes: number) => ({ own_minutes: minutes === 0 ? null : minutes })
  return (
    <Stepper
      label="My minutes per piece"
      unit={step.own_minutes === undefined ? "min (estimated)" : "min"}
      value={step.own_minutes ?? 0}
      by={5}
      least={0}
      pending={pending("own_minutes")}
      error={error("own_minutes")}
      onChange={(minutes) => onSet(own(minutes))}
      onTyped={(text) => onSet({ own_minutes: asTyped(text) })}
      near={(minutes) => near?.(own(minutes))}
    />
  )
}

function AimField({ step, onSet, near, error }: StepFieldsProps) {
  return (
    <SelectField
      label="What it is for"
      value={step.aim ?? "scuff"}
      error={error("aim")}
      options={[
        ["denib", "take off nibs (denib)"],
        ["scuff", "key for the next coat (scuff)"],
        ["between", "flatten for the next coat"],
        ["cut_back", "back to the wood, pores stay full"],
      ]}
      onChange={(aim) => onSet({ aim: aim as Step["aim"] })}
      near={(aim) => near?.({ aim: aim as Step["aim"] })}
    />
  )
}

function RemovesField({ step, pending, error, onSet, near }: StepFieldsProps) {
  if (step.kind === "sand" || step.aim === "cut_back") return null
  const taken = (um: number) => ({ removes_um: um === 0 ? null : um })
  return (
    <Stepper
      label="Takes off"
      unit={step.removes_um === undefined ? "µm (as reckoned)" : "µm"}
      value={step.removes_um ?? 0}
      by={1}
      least={0}
      pending={pending("removes_um")}
      error={error("removes_um")}
      onChange={(um) => onSet(taken(um))}
      near={(um) => near?.(taken(um))}
    />
  )
}

function WaitFields({ step, error, onSet, near, pending }: StepFieldsProps) {
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
          onTyped={(text) => onSet({ minutes: asTyped(text) })}
          near={(minutes) => near?.({ minutes })}
        />
      )}
    </>
  )
}

function MilestoneField({ step, onSet }: StepFieldsProps) {
  return (
    <SelectField
      label={step.kind === "test" ? "Test once it is" : "Look once it is"}
      value={step.milestone ?? (step.kind === "test" ? "full_cure" : "dust_safe")}
      options={FAR_MILESTONES}
      onChange={(value) => onSet({ milestone: value as Step["milestone"] })}
    />
  )
}
