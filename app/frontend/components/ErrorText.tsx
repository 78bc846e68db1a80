import type { ErrorReason } from "@/types"

/** What was refused, where the hand is. */
export function ErrorText({ reason }: { reason: ErrorReason | null }) {
  if (!reason) return null
  return (
    <p className="error-text mt-2" role="alert">
      {reason.sentence}
    </p>
  )
}
