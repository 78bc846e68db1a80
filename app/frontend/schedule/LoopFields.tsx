import { Stepper } from "@/components/Field"
import type { StepFieldsProps } from "./stepProps"

/** Until it looks right: how many rounds more are planned, and at most. */
export function LoopFields({ step, pending, error, onSet }: StepFieldsProps) {
  const again = step.again
  if (!again) return null
  const set = (change: Partial<typeof again>) => onSet({ again: { ...again, ...change } })
  return (
    <>
      <Stepper
        label="Once more, planned"
        unit="rounds"
        value={again.rounds}
        by={1}
        least={0}
        most={12}
        pending={pending("again")}
        error={error("again")}
        onChange={(rounds) => set({ rounds, most: Math.max(again.most, rounds, 1) })}
      />
      <Stepper
        label="At most"
        unit="rounds"
        value={again.most}
        by={1}
        least={1}
        most={12}
        pending={pending("again")}
        onChange={(most) => set({ most, rounds: Math.min(again.rounds, most) })}
      />
    </>
  )
}
