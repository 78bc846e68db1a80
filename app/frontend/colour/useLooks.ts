import { send } from "@/lib/api"
import { useAnswer } from "@/lib/requests"
import type { Looks } from "@/types"

// The picture of an edit comes first.
const AFTER_MS = 100

/**
 * The looks of a schedule's steps on a face, fetched behind each revision; the last ones stay until the new ones are
 * there. Undefined before the first; null where the wood has no colour figures.
 */
export function useLooks(url: string, revision: number, face: string): Looks | null | undefined {
  const { answer } = useAnswer({
    key: ["looks", url, revision, face],
    ask: (signal) =>
      send<{ looks: Looks | null }>("GET", `${url}/looks?face=${encodeURIComponent(face)}`, undefined, signal),
    after: AFTER_MS,
    keep: true,
    quiet: true,
  })
  return answer?.looks
}
