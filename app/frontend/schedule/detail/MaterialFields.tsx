import { useState } from "react"
import { SelectField, Stepper } from "@/components/Field"
import { useMeasures } from "@/lib/units"
import type { Method, Step } from "@/types"
import { FIELDS, FILM_KINDS } from "@/types/kinds"
import { methodsOf, resetWords, swapped } from "../swap"
import { METHODS, offered, ROLES } from "../words"
import type { StepFieldsProps, StepSet } from "./stepProps"

/** What is laid on, how, how often and how thin. */
export function MaterialFields({ step, shelf, pending, error, onSet, near }: StepFieldsProps) {
  const { film: measure } = useMeasures()
  const item = shelf.find((candidate) => candidate.id === step.product)
  const film = FILM_KINDS.includes(step.kind)
  // A way that the product's page has no figure for stays shown where the step has it.
  const methods = [...new Set([...methodsOf(item, step.kind), ...(step.method ? [step.method] : [])])]
  const spots = !FIELDS[step.kind].includes("method")
  const [reset, setReset] = useState({ of: "", words: "" })
  const choose = (id: string) => {
    if (spots) return onSet(id ? { product: id } : { product: null, tint: null })
    const next = shelf.find((candidate) => candidate.id === id)
    if (!next) return
    const set = swapped(step, next)
    setReset({ of: step.id, words: resetWords(step, set, measure, METHODS) })
    onSet(set)
  }
  const worked = (method: Method): StepSet =>
    film && item?.wet_um[method] ? { method, wet_um: item.wet_um[method] } : { method }
  return (
    <>
      <div className="is-wide">
        <SelectField
          label="Product"
          value={step.product ?? ""}
          error={error("product")}
          options={[
            ...(spots ? [["", "what is at hand"] as [string, string]] : []),
            ...offered(shelf, step.kind, step.product).map((item): [string, string] => [item.id, item.name]),
          ]}
          onChange={choose}
        />
        {reset.of === step.id && reset.words && (
          <p className="text-fine text-second mt-1" role="status">
            {reset.words}.
          </p>
        )}
      </div>
      {!spots && (
        <SelectField
          label="Method"
          value={step.method ?? ""}
          error={error("method")}
          options={methods.map((method) => [method, METHODS[method]])}
          onChange={(method) => onSet(worked(method as Method))}
          near={(method) => near?.(worked(method as Method))}
        />
      )}
      {(film || step.kind === "oil" || step.kind === "fill" || (step.kind === "mend" && step.way === "patch")) && (
        <Stepper
          label={film ? "Coats" : spots ? "Layers" : "Times"}
          value={step.coats ?? 1}
          by={1}
          least={1}
          most={30}
          pending={pending("coats")}
          error={error("coats")}
          onChange={(coats) => onSet({ coats })}
          near={(coats) => near?.({ coats })}
        />
      )}
    </>
  )
}

/** What a coat is for, and how many of them a day may hold. */
export function CoatFields({ step, error, onSet }: StepFieldsProps) {
  return (
    <>
      {step.kind === "coat" && (
        <SelectField
          label="It is"
          value={step.role ?? "top"}
          error={error("role")}
          options={Object.entries(ROLES)}
          onChange={(role) => onSet({ role: role as Step["role"] })}
        />
      )}
      {(step.coats ?? 1) > 1 && step.kind !== "fill" && (
        <SelectField
          label="On one day"
          value={String(step.coats_a_day ?? "")}
          error={error("coats_a_day")}
          options={[
            ["", "as many as dry"],
            ...[1, 2, 3].map((most): [string, string] => [
              String(most),
              `${most} ${most === 1 ? "coat" : "coats"} at most`,
            ]),
          ]}
          onChange={(most) => onSet({ coats_a_day: most ? Number(most) : null })}
        />
      )}
    </>
  )
}

/** How far it is thinned: by a cut where the product has one, or by a share. */
export function ThinningFields({ step, shelf, pending, error, onSet, near }: StepFieldsProps) {
  const item = shelf.find((candidate) => candidate.id === step.product)
  const cutTo = (cut: number): StepSet => ({ cut_lb_per_gal: cut === 0 ? null : cut, thinning: null })
  const thinnedBy = (percent: number): StepSet => ({
    thinning: percent === 0 ? null : { percent, of: step.thinning?.of ?? "base" },
    ...(step.cut_lb_per_gal === undefined ? {} : { cut_lb_per_gal: null }),
  })
  return (
    <>
      {item?.cut_lb_per_gal && (
        <Stepper
          label="Thinned to a cut of"
          unit={step.cut_lb_per_gal === undefined ? `lb (as it is: ${item.cut_lb_per_gal})` : "lb"}
          value={step.cut_lb_per_gal ?? 0}
          by={0.25}
          least={0}
          most={item.cut_lb_per_gal}
          pending={pending("cut_lb_per_gal")}
          error={error("cut_lb_per_gal")}
          onChange={(cut) => onSet(cutTo(cut))}
          near={(cut) => near?.(cutTo(cut))}
        />
      )}
      <Stepper
        label="Thinned by"
        unit={`% of ${step.thinning?.of ?? "base"}`}
        value={step.thinning?.percent ?? 0}
        by={5}
        least={0}
        most={1000}
        pending={pending("thinning")}
        error={error("thinning")}
        onChange={(percent) => onSet(thinnedBy(percent))}
        near={(percent) => near?.(thinnedBy(percent))}
      />
      {step.thinning && (
        <SelectField
          label="Thinner counts as a share of"
          value={step.thinning.of}
          options={[
            ["base", "the base"],
            ["total", "the whole mix"],
          ]}
          onChange={(of) => onSet({ thinning: { percent: step.thinning?.percent ?? 0, of: of as "base" | "total" } })}
        />
      )}
    </>
  )
}
