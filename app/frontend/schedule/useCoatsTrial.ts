import { useState } from "react"
import type { Operation, Step } from "@/types"
import { type Coats, forCoats } from "./coats"
import type { StepSet } from "./detail/stepProps"
import type { usePreview } from "./usePreview"
import type { useSheet } from "./useSheet"

type Asking = Pick<ReturnType<typeof usePreview>, "preview" | "ask" | "drop">
type Trial = { operation: Operation; id: string; words: string; revision: number }

/** A change of some coats of a step: computed and shown, then saved or left. Another revision makes it void. */
export function useCoatsTrial(
  { sheet, piece, schedule, edit }: ReturnType<typeof useSheet>,
  { preview, ask, drop }: Asking,
  select: (key: string) => void,
) {
  const [begun, setBegun] = useState<Trial | null>(null)
  const trial = begun?.revision === schedule.revision ? begun : null
  const leave = () => {
    drop()
    setBegun(null)
  }
  return {
    /** What is tried, in words; null: nothing. */
    words: trial?.words ?? null,
    /** The sheet as it would be, once it is computed. */
    sheet: trial && preview?.key === JSON.stringify(trial.operation) ? preview.sheet : null,
    begin: (step: Step, coat: number, coats: Exclude<Coats, "all">, set: StepSet) => {
      const { operation, id } = forCoats(step, coat, coats, set, sheet.document.steps)
      const words = coats === "this" ? `Coat ${coat} only` : `Coat ${coat} and later`
      setBegun({ operation, id, words, revision: schedule.revision })
      void ask(operation)
    },
    keep: () => {
      if (!trial) return
      leave()
      edit(trial.operation)
      select(`${piece.core_id}/${trial.id}`)
    },
    leave,
  }
}
