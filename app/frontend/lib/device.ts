/** What a device that keeps nothing (private, full, broken) is told, as long as the page is open. */
const meanwhile = new Map<string, string>()

/** What this device remembered under a name; null where there is nothing. */
export function recall(key: string): string | null {
  try {
    return localStorage.getItem(key)
  } catch {
    return meanwhile.get(key) ?? null
  }
}

export function remember(key: string, text: string): void {
  try {
    localStorage.setItem(key, text)
  } catch {
    meanwhile.set(key, text)
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
