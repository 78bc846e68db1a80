import { inkOn } from "@/colour/ink"
import type { PatchColour as Found } from "./usePatch"

/** The colour that came of the marks, and how far it can be trusted. */
export function PatchColour({ colour, error, placed }: { colour: Found | null; error: string; placed: boolean }) {
  if (!placed) return null
  if (error)
    return (
      <p className="error-text mt-2" role="alert">
        {error}
      </p>
    )
  if (!colour) return <p className="text-second text-fine mt-2">computing</p>
  const [l, a, b] = colour.lab
  return (
    <div className="patch-colour" style={{ background: colour.hex, color: inkOn(l) }} role="status">
      <b>
        L* {l.toFixed(1)} a* {a.toFixed(1)} b* {b.toFixed(1)}
      </b>
      <span className="text-fine">from a photo: low trust, a guide only</span>
    </div>
  )
}
