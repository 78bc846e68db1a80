/** What a hand did at the bench; the queue adds its id and its time. */
export type Touch = {
  kind: "started" | "done" | "dry_test" | "fault" | "acknowledged" | "rags" | "correction"
  pass?: string
  person?: string
  milestone?: string
  /** Of a dry test, a look, or a test of an old finish. */
  answer?: string
  fault?: string
  readings?: number[]
  /** What corrects a pin meter: temperature of the wood, °C, and points for its kind. */
  t_c?: number
  points?: number
  mending?: string
  /** Of rubbed oil, that one piece took. */
  drops?: number
  /** Ids of the cautions that were read. */
  cautions?: string[]
  corrects?: number
}

/**
 * A touch that the server does not have yet: its id and time, its place among the others, what it was about in words.
 */
export type Unsent = Touch & {
  client_id: string
  happened_at: string
  order: number
  words?: string
  /** The sentence with which the server refused it, until it is sent again or taken back. */
  refused?: string
}
