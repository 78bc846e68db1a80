import { useCallback } from "react"
import { iso } from "@/lib/time"
import type { Operation, Row, Step } from "@/types"
import { turned } from "./detail/HardWindows"
import type { StepSet } from "./detail/stepProps"
import type { useSheet } from "./useSheet"
import { freeId } from "./words"

const MOST_WET_UM = 500

/** What hands do to the steps of a schedule, as edits of its document; what is new or split off is selected. */
export function useStepEdits(state: ReturnType<typeof useSheet>, row: Row | null, select: (key: string) => void) {
  const { sheet, piece, edit, near } = state
  const step = sheet.document.steps.find((candidate) => candidate.id === row?.step)
  const planned = row?.status === "planned"
  const move = useCallback(
    (moved: Row, start: number) =>
      edit({ op: "pin", id: moved.step, coat: moved.coat, start: iso(start), ...turned(moved, sheet) }),
    [edit, sheet],
  )
  return {
    step,
    move,
    unpin: (moved: Row) => edit({ op: "pin", id: moved.step, coat: moved.coat, start: null, ...turned(moved, sheet) }),
    add: (added: Step) => {
      edit({ op: "add_step", after: row?.step ?? null, step: added })
      select(`${piece.core_id}/${added.id}`)
    },
    splitAndSet: (split: Step, done: number, set: StepSet) => {
      const rest = freeId(sheet.document.steps)
      select(`${piece.core_id}/${rest}`)
      const operations: Operation[] = [
        { op: "split_coats", id: split.id, keep: done, new_id: rest },
        { op: "change_step", id: rest, set },
      ]
      edit({ op: "all", operations })
    },
    /** Thicker or thinner by so much, µm. */
    wet: (by: number) => {
      if (!step?.wet_um || !planned) return
      const thickness = (times: number): Operation => ({
        op: "change_step",
        id: step.id,
        set: { wet_um: Math.min(Math.max((step.wet_um ?? 0) + times * by, 5), MOST_WET_UM) },
      })
      edit(thickness(1))
      near(thickness(2))
      near(thickness(3))
    },
    /** Later or earlier by so much, min. */
    nudge: (by: number) => {
      if (row && planned && !row.inserted && row.hands_min > 0) move(row, row.hands_start + by)
    },
  }
}
