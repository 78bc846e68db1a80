import type { ReactNode } from "react"
import type { Operation, Room, Row, Sheet, ShelfItem, Step } from "@/types"

export type StepSet = { [K in keyof Step]?: Step[K] | null }
export type StepFieldsProps = {
  step: Step
  shelf: ShelfItem[]
  rooms: Room[]
  faces: string[]
  homeRoom: string
  pending: (field: string) => boolean
  error: (field: string) => string | undefined
  onSet: (set: StepSet) => void
  /** What a hand is about to set. */
  near?: (set: StepSet) => void
}

/** What the pointer panel and each of its tabs are given. */
export type DetailProps = {
  sheet: Sheet
  row: Row
  shelf: ShelfItem[]
  rooms: Room[]
  faces: string[]
  /** Faces that are edges: a coat on another face reaches them. */
  edges: string[]
  /** Where the step stands in the drawing above, px from the left. */
  pointer: number | null
  /** What the looks say, where there are any. */
  look: ReactNode
  /** The piece's number. */
  piece: number
  /** How it looks before and after the step, where looks are computed. */
  colours: { hex: string; lightness: number }[] | null
  /** Where the colour desk finds a recipe for the step. */
  desk: string
  pending: (field: string) => boolean
  error: (field: string) => string | undefined
  onEdit: (operation: Operation, reason?: string) => void
  /** An edit that a hand is about to make. */
  onNear: (operation: Operation) => void
  /** Coats that are done stay as they were: the rest is split off and changed. */
  onSplitAndSet: (step: Step, done: number, fields: StepSet) => void
  /** A change of some coats of a step is tried before it is kept. */
  onTry: (step: Step, coat: number, coats: "this" | "later", fields: StepSet) => void
  onMove: (row: Row, start: number) => void
  onUnpin: (row: Row) => void
}
