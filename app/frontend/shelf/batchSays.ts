import { duration } from "@/lib/time"
import type { Batch } from "@/types"

export type Says = { words: string; tone: "plain" | "caution"; over: boolean }

/** What matters of a can or jar now: its date, its pot life, or the smear it needs. */
export function batchSays(batch: Batch, now: number): Says {
  if (batch.discarded) return { words: "thrown away", tone: "plain", over: true }
  if (batch.usable_until !== null) {
    const left = batch.usable_until - now
    return left >= 0
      ? { words: `usable ${duration(left)} more`, tone: left < 30 ? "caution" : "plain", over: false }
      : { words: "past its pot life", tone: "caution", over: true }
  }
  if (batch.days_left !== null && batch.days_left < 0)
    return { words: `${-batch.days_left} d past its date`, tone: "caution", over: true }
  if (batch.kept) return { words: "touch-up, kept", tone: "plain", over: false }
  if (batch.smear) return { words: "try a smear first", tone: "caution", over: false }
  if (batch.boxed) return { words: "boxed lot", tone: "plain", over: false }
  if (batch.days_left === null) return { words: "no date", tone: "plain", over: false }
  return {
    words:
      batch.days_left < 60
        ? `good ${batch.days_left} d more`
        : `good ${Math.floor(batch.days_left / 30.44)} months more`,
    tone: "plain",
    over: false,
  }
}
