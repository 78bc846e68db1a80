import type { Room, ShelfItem, Step } from "@/types"

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
}
