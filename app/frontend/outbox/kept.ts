/**
 * What a hand did and the server does not have yet: its id, its place among the others, where it goes, and what it was
 * in words.
 */
export type Kept = {
  client_id: string
  order: number
  /** Address of the page it was done on. */
  place: string
  path: string
  /** With its id and its time, as the server takes it. */
  body: Record<string, unknown> & { happened_at?: string }
  words: string
  /** Whose hands the device was in. */
  whose?: string
  /** The sentence with which the server refused it, until it is sent again or taken back. */
  refused?: string
  /** The server has it; there it is asked what it came to. */
  settle?: string
  /** It waits for whoever did it: somebody else is here now. */
  held?: boolean
}

/** What the queue adds by itself. */
export type Doing = Omit<Kept, "client_id" | "order" | "refused" | "held" | "settle" | "whose">

/** @returns what lay on the device as a touch; null where it is none */
export function keptFrom(found: unknown): Kept | null {
  if (typeof found !== "object" || found === null) return null
  const one = found as Record<string, unknown>
  if (typeof one.client_id !== "string" || typeof one.order !== "number") return null
  return typeof one.path === "string" ? (one as Kept) : fromOlder(one)
}

/** Touches of the bench as they were kept before other pages kept theirs: they go out all the same. */
function fromOlder({ order, words, refused, ...body }: Record<string, unknown>): Kept {
  return {
    client_id: String(body.client_id),
    order: Number(order),
    place: "/bench",
    path: "/entries",
    body,
    words: [body.kind, words].filter(Boolean).join(", "),
    ...(typeof refused === "string" ? { refused } : {}),
  }
}
