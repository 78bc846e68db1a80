import type { Pin, ScheduleDocument, Step } from "./document"

export * from "./generated"
export type { Pin, ScheduleDocument, Step }
export type Method = NonNullable<Step["method"]>
export type StepKind = Step["kind"]

/** An edit of a schedule document; names step ids, never positions. */
export type Operation =
  | { op: "add_step"; after: string | null; step: Step }
  | { op: "remove_step"; id: string }
  | { op: "move_step"; id: string; after: string | null }
  | { op: "change_step"; id: string; set: { [K in keyof Step]?: Step[K] | null } }
  | { op: "split_coats"; id: string; keep: number; new_id?: string }
  | { op: "pin"; id: string; coat: number; start: string | null; person?: string | null; faces?: string[] }
  | {
      op: "place"
      set: { room?: string | null; dry_room?: string | null; support?: ScheduleDocument["support"] | null }
    }
  | { op: "house"; set: Record<string, string | number | null> }
  | { op: "judge"; check: string; as: Ruling["as"] | null; reason?: string }
  | { op: "all"; operations: Operation[] }

/** What a piece is wished to be, and within which limits; what is left out is open. */
export type Wish = {
  lab?: number[] | null
  sheen?: [number, number] | null
  pores?: "open" | "closed" | null
  opaque?: boolean | null
  pale?: boolean | null
  /** It touches food, or goes into mouths. */
  mouths?: boolean | null
  gear?: string[] | null
  odour?: number | null
  skill?: number | null
  repair?: boolean | null
  /** The most that material may cost. */
  budget?: number | null
  /** What it must stand up to beyond its use, 1 to 5. */
  least?: Record<string, number> | null
  due?: string | null
  weights?: Record<string, number> | null
}

/** What a batch of timber may be unlike its kind. */
export type WoodFact = "tannin" | "knots" | "oily" | "spots" | "silica"
export type Timber = {
  id: number
  name: string
  wood: string
  facts: Partial<Record<WoodFact, boolean>>
  words: string
}

/** Why a finding has another level than usual, and whose way that is. */
export type Ruling = {
  was: "stop" | "caution" | "note"
  as: "stop" | "caution" | "note" | "silent"
  reason: string
  by: "schedule" | "shop"
}

/** What was on a face before its schedule begins; the first is all that must be said. */
export type Found = {
  is: "bare" | "coated" | "unknown" | "stripped"
  surface?: string
  product?: string
  family?: string
  coats?: number
  um?: number
  state?: string
  colour_left?: boolean
  lab?: number[] | string
}
export type Choice = { id: number; name: string; wood: string; client: string }
export type ErrorReason = {
  sentence: string
  where: string
  accepted?: string | null
  /** The same request may be let through later. */
  again?: boolean
  /** It is for others than whoever has signed in. */
  others?: boolean
  /** It was done by somebody else than whoever is here now. */
  whose?: string
  /** It asks for the password again. */
  confirm?: boolean
}
