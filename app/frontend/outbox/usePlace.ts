import { skipToken, useQuery, useQueryClient } from "@tanstack/react-query"
import { useEffect } from "react"
import { isLater } from "@/lib/requests"
import { placeKey } from "./Outbox"
import { keepAnswer, keptAnswer } from "./shelf"

const EVERY_MS = 60_000
const AWAY_EVERY_MS = 10_000

type Place<T> = {
  place: string
  first: T
  /** When the page was kept on this device (ms), where it did not come from the server. */
  keptAt?: number
  /** Asked every minute, and sooner while there is no answer. */
  ask?: (signal: AbortSignal) => Promise<T>
}

/**
 * What a place shows: the newest of what came with the page, what was answered to a touch, and what this device kept of
 * either.
 */
export function usePlace<T>({ place, first, keptAt, ask }: Place<T>) {
  const client = useQueryClient()
  const query = useQuery<T>({
    queryKey: placeKey(place),
    queryFn: ask ? ({ signal }) => asked(place, ask, signal) : skipToken,
    initialData: first,
    initialDataUpdatedAt: keptAt,
    staleTime: Number.POSITIVE_INFINITY,
    refetchInterval: ({ state }) => (state.error ? AWAY_EVERY_MS : EVERY_MS),
  })
  useEffect(() => {
    client.setQueryData(placeKey(place), first, { updatedAt: keptAt })
    if (keptAt === undefined) return
    void keptAnswer(place).then((told) => {
      if (told && told.at > keptAt) client.setQueryData(placeKey(place), told.answer, { updatedAt: told.at })
      void client.refetchQueries({ queryKey: placeKey(place) })
    })
  }, [client, place, first, keptAt])
  return {
    state: query.data ?? first,
    /** When the server said it (ms). */
    at: query.dataUpdatedAt,
    /** Nothing newer is to be had just now. */
    away: isLater(query.error) || (keptAt !== undefined && query.data === first),
  }
}

async function asked<T>(place: string, ask: (signal: AbortSignal) => Promise<T>, signal: AbortSignal): Promise<T> {
  const answer = await ask(signal)
  void keepAnswer(place, { answer, at: Date.now() })
  return answer
}
