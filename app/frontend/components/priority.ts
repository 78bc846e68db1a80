import type { Piece } from "@/types"

/** What goes before what, in the shop's words. */
export const PRIORITY: [Piece["priority"], string][] = [
  ["urgent", "urgent"],
  ["normal", "normal"],
  ["when_time", "when there is time"],
]

/** Said beside a piece or job that is not like most. */
export const priorityTold = (priority: Piece["priority"]) =>
  ({ urgent: "urgent", normal: "", when_time: "when there is time" })[priority]
