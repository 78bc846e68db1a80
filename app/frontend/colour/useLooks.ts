import { useEffect, useState } from "react"
import { send } from "@/lib/api"
import type { Looks } from "@/types"

/** The looks of a schedule's steps on a face, fetched behind each revision; the last ones stay until the new ones are there. */
export function useLooks(url: string, revision: number, face: string): Looks | null {
  const [looks, setLooks] = useState<Looks | null>(null)
  // biome-ignore lint/correctness/useExhaustiveDependencies: another revision has other looks
  useEffect(() => {
    const stop = new AbortController()
    send<{ looks: Looks | null }>("GET", `${url}/looks?face=${encodeURIComponent(face)}`, undefined, stop.signal)
      .then((answer) => setLooks(answer.looks))
      .catch(() => undefined)
    return () => stop.abort()
  }, [url, revision, face])
  return looks
}
