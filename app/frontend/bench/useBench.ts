import { useCallback, useEffect, useRef, useState } from "react"
import { clientId, Refused, send } from "@/lib/api"
import type { Bench, BenchPot, Entry, Piece, Room } from "@/types"
import type { Touch } from "./touch"
import { afterSending, type Fate, keepUnsent, type Unsent, unsent } from "./unsent"

// A touch that the server has not answered by then is called unsent.
const SLOW_MS = 3_000

export type BenchProps = {
  bench: Bench
  pieces: Piece[]
  rooms: Room[]
  latest: Entry[]
  pots: BenchPot[]
  mixed: Record<string, string>
}

/**
 * The bench and its log. What is touched is kept on the device first, then sent with the id and the time it was touched, in order. It leaves
 * the device only when the server has it, or when the person takes it back: without an answer it goes out later, a refusal stands beside it.
 */
export function useBench(first: BenchProps) {
  const [state, setState] = useState(first)
  const [kept, setKept] = useState<Unsent[]>(unsent)
  const [trouble, setTrouble] = useState("")
  const [waiting, setWaiting] = useState(false)
  const busy = useRef(false)
  const keep = useCallback((touches: Unsent[]) => setKept(keepUnsent(touches)), [])

  const sent = useCallback(async ({ words, refused, ...touch }: Unsent): Promise<Fate> => {
    try {
      setState(await send<BenchProps>("POST", "/entries", touch))
      setTrouble("")
      return { sent: true }
    } catch (error) {
      const fate =
        error instanceof Refused
          ? { status: error.status, sentence: error.reason.sentence }
          : { status: 0, sentence: String(error) }
      setTrouble(fate.sentence)
      return fate
    }
  }, [])

  const drain = useCallback(async () => {
    if (busy.current) return
    busy.current = true
    const slow = setTimeout(() => setWaiting(true), SLOW_MS)
    try {
      for (let next = unsent().find((touch) => !touch.refused); next; next = unsent().find((touch) => !touch.refused)) {
        const fate = await sent(next)
        // The list is read after the answer: what was touched meanwhile is in it.
        const after = afterSending(unsent(), next.client_id, fate)
        keep(after.kept)
        setWaiting(after.wait)
        if (after.wait) break
      }
    } finally {
      clearTimeout(slow)
      busy.current = false
    }
  }, [keep, sent])

  useEffect(() => {
    void drain()
    const timer = setInterval(() => void drain(), 15_000)
    window.addEventListener("online", drain)
    return () => {
      clearInterval(timer)
      window.removeEventListener("online", drain)
    }
  }, [drain])

  useEffect(() => setState(first), [first])

  const touch = useCallback(
    (what: Touch) => {
      const row = [...state.bench.running, ...state.bench.upcoming, ...state.bench.today].find(
        (candidate) => candidate.key === what.pass,
      )
      keep([...unsent(), { ...what, client_id: clientId(), happened_at: new Date().toISOString(), words: row?.words }])
      void drain()
    },
    [drain, keep, state.bench],
  )
  const again = (id: string) => {
    keep(unsent().map(({ refused, ...other }) => (other.client_id === id ? other : { ...other, refused })))
    void drain()
  }
  const takeBack = (id: string) => keep(unsent().filter((other) => other.client_id !== id))
  return { ...state, unsent: kept, waiting, trouble, touch, again, takeBack, dismiss: () => setTrouble("") }
}
