import { QueryClient, useMutation, useQuery } from "@tanstack/react-query"
import { useCallback, useState } from "react"
import { Refused } from "./api"

/** Not now, but later: no answer, a server in trouble or busy, nobody signed in, a token that could not be had. */
export const isLater = (error: unknown): boolean =>
  error instanceof Refused &&
  ([0, 401, 408, 429].includes(error.status) || error.status >= 500 || (error.status === 403 && isTried(error)))

const isTried = ({ reason }: Refused): boolean => reason.again === true

/** The shop's computer has other work just now: it asks to be asked again. */
export const isBusy = (error: unknown): boolean => error instanceof Refused && error.status === 503 && isTried(error)
/** So long between two tries, ms: a tablet's battery and the other work are to be spared. */
const BUSY_MS = 1500

const isFault = (error: unknown) => !(error instanceof Refused)

/**
 * The one client of the pages. An answer lives as long as something shows it: the shop goes on meanwhile, so that a
 * page that is opened again asks anew. What is neither an answer nor a refusal is a fault of the page and is thrown, so
 * that it is seen.
 */
export const requestClient = (): QueryClient =>
  new QueryClient({
    defaultOptions: {
      queries: {
        gcTime: 0,
        retry: false,
        networkMode: "always",
        refetchOnWindowFocus: false,
        refetchOnReconnect: false,
        throwOnError: isFault,
      },
      mutations: { networkMode: "always", throwOnError: isFault },
    },
  })

type Question<T> = {
  /** What the answer depends on: another key is another question. */
  key: readonly unknown[]
  ask: (signal: AbortSignal) => Promise<T>
  /** Not asked as long as this is false. */
  on?: boolean
  /** The last answer stays until the next one is there, also beside a refusal. */
  keep?: boolean
  /** Milliseconds for which the question has to stay the same before it is sent. */
  after?: number
  /** A question that nobody waits for is asked twice more where there was no answer. */
  quiet?: boolean
  /** Milliseconds until it is asked again; false: not again. */
  every?: (answer: T | undefined) => number | false
}

/** What the server computes, asked again with each other key; the question before is given up. */
export function useAnswer<T>({ key, ask, on = true, keep = false, after, quiet = false, every }: Question<T>) {
  const query = useQuery<T>({
    queryKey: key,
    queryFn: async ({ signal }) => {
      if (after) await pause(after, signal)
      return ask(signal)
    },
    enabled: on,
    retry: (tries, error) => isBusy(error) || (quiet && tries < 2 && isLater(error)),
    retryDelay: (tries, error) => (isBusy(error) ? BUSY_MS : Math.min(1000 * 2 ** tries, 30_000)),
    refetchInterval: every ? ({ state }) => every(state.data) : false,
  })
  const [last, setLast] = useState<T | null>(null)
  if (query.data !== undefined && query.data !== last) setLast(query.data)
  return {
    answer: query.data ?? (keep ? last : null),
    error: query.error instanceof Refused ? query.error.reason : null,
    ask: () => void query.refetch(),
  }
}

const MOST_TRIES = 20

/**
 * Sends what a hand decided. What the server refuses is `error`, until the next try or until it is dismissed: what was
 * typed stays on the screen beside it.
 */
export function useSend() {
  const { mutateAsync, reset, error, isPending } = useMutation({
    mutationFn: (request: () => Promise<unknown>) => request(),
    // What was answered so was not begun.
    retry: (tries, error) => tries < MOST_TRIES && isBusy(error),
    retryDelay: BUSY_MS,
  })
  const send = useCallback(
    async <T>(request: () => Promise<T>, then?: (answer: T) => void): Promise<boolean> => {
      try {
        const answer = (await mutateAsync(request)) as T
        then?.(answer)
        return true
      } catch (error) {
        if (isFault(error)) throw error
        return false
      }
    },
    [mutateAsync],
  )
  return { send, busy: isPending, error: error instanceof Refused ? error.reason : null, dismiss: reset }
}

const pause = (ms: number, signal: AbortSignal) =>
  new Promise<void>((resolve, reject) => {
    const timer = setTimeout(resolve, ms)
    signal.addEventListener("abort", () => {
      clearTimeout(timer)
      reject(new DOMException("Asked no longer", "AbortError"))
    })
  })
