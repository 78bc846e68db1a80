import type { Touch } from "./touch"

/** A touch that the server does not have yet; refused: its sentence, until it is sent again or taken back. */
export type Unsent = Touch & { client_id: string; happened_at: string; words?: string; refused?: string }

const SHELF = "rhexon.unsent"
// Where the device keeps nothing (full, or private), the page does as long as it is open.
let held: Unsent[] | null = null

/** @returns the touches in the order they were made */
export function unsent(): Unsent[] {
  if (held) return held
  try {
    const kept: unknown = JSON.parse(localStorage.getItem(SHELF) ?? "[]")
    return Array.isArray(kept) ? (kept as Unsent[]).filter((touch) => touch && typeof touch.client_id === "string") : []
  } catch {
    return []
  }
}

export function keepUnsent(touches: Unsent[]): Unsent[] {
  try {
    localStorage.setItem(SHELF, JSON.stringify(touches))
    held = null
  } catch {
    held = touches
  }
  return touches
}

/** What became of a touch that was sent. */
export type Fate = { sent: true } | { status: number; sentence: string }

/** Not now, but later: no answer, a server in trouble or busy, a token that could not be had. */
const later = (status: number) => status === 0 || status === 403 || status === 408 || status === 429 || status >= 500

/**
 * The touches after one of them was sent: it leaves the list only when the server has it. A refusal stands beside it; the others go on.
 * @returns what is kept now, and whether to wait before the next is sent
 */
export function afterSending(touches: Unsent[], id: string, fate: Fate): { kept: Unsent[]; wait: boolean } {
  if ("sent" in fate) return { kept: touches.filter((touch) => touch.client_id !== id), wait: false }
  if (later(fate.status)) return { kept: touches, wait: true }
  return {
    kept: touches.map((touch) => (touch.client_id === id ? { ...touch, refused: fate.sentence } : touch)),
    wait: false,
  }
}
