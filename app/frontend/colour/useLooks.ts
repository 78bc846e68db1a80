import { send } from "@/lib/api"
import { useAnswer } from "@/lib/requests"
import type { Looks } from "@/types"

/**
 * The looks of a schedule's steps on a face, fetched behind each revision; the last ones stay until the new ones are
 * there.
 */
// The picture of an edit comes first.
const AFTER_MS = 100

export function useLooks(url: string, revision: number, face: string): Looks | null {
  const { answer } = useAnswer({
    key: ["looks", url, revision, face],
    ask: (signal) =>
      send<{ looks: Looks | null }>("GET", `${url}/looks?face=${encodeURIComponent(face)}`, undefined, signal),
    after: AFTER_MS,
    keep: true,
    quiet: true,
  })
  return answer?.looks ?? null
}
