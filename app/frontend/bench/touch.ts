/** What a hand did at the bench; the queue adds its id and its time. */
export type Touch = {
  kind: "started" | "done" | "dry_test" | "fault" | "correction"
  pass?: string
  person?: string
  milestone?: string
  answer?: "dry" | "not_yet"
  fault?: string
  mending?: string
  corrects?: number
}
