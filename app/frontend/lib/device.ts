/**
 * What this device remembered under a name; null where it remembers nothing, or is not asked to (private, full,
 * broken).
 */
export function recall(key: string): string | null {
  try {
    return localStorage.getItem(key)
  } catch {
    return null
  }
}

export function remember(key: string, text: string): void {
  try {
    localStorage.setItem(key, text)
  } catch {
    // The page goes on without it.
  }
}

/** The same as JSON; what is broken counts as nothing. */
export function recallRecord(key: string): Record<string, unknown> {
  try {
    const kept: unknown = JSON.parse(recall(key) ?? "{}")
    return typeof kept === "object" && kept !== null && !Array.isArray(kept) ? (kept as Record<string, unknown>) : {}
  } catch {
    return {}
  }
}
