import { useCallback, useEffect, useRef, useState } from "react"
import { clientId, Refused, send } from "@/lib/api"
import type { Bench, BenchPot, Entry, Piece, Room } from "@/types"

export type BenchProps = { bench: Bench; pieces: Piece[]; rooms: Room[]; latest: Entry[]; pots: BenchPot[]; mixed: Record<string, string> }
export type Touch = {
  kind: "started" | "done" | "dry_test" | "fault" | "correction"
  pass?: string
  person?: string
  milestone?: string
  answer?: "dry" | "not_yet"
  fault?: string
  mending?: string
  corrects?: number
}
type Kept = Touch & { client_id: string; happened_at: string }

const SHELF = "rhexon.unsent"
const read = (): Kept[] => JSON.parse(localStorage.getItem(SHELF) ?? "[]") as Kept[]
const write = (kept: Kept[]) => localStorage.setItem(SHELF, JSON.stringify(kept))

/**
 * The bench and its log. What is touched is kept on the device first, then sent with the id and the time it was touched, in order;
 * when the server does not answer it stays kept and goes out later.
 */
export function useBench(first: BenchProps) {
  const [state, setState] = useState(first)
  const [unsent, setUnsent] = useState<Kept[]>(read)
  const [trouble, setTrouble] = useState("")
  const busy = useRef(false)

  const keep = useCallback((kept: Kept[]) => {
    write(kept)
    setUnsent(kept)
  }, [])

  const drain = useCallback(async () => {
    if (busy.current) return
    busy.current = true
    try {
      for (let kept = read(); kept[0]; kept = read()) {
        try {
          setState(await send<BenchProps>("POST", "/entries", kept[0]))
          setTrouble("")
        } catch (error) {
          if (!(error instanceof Refused)) throw error
          setTrouble(error.said.sentence)
          if (error.status === 0) break
        }
        keep(read().slice(1))
      }
    } finally {
      busy.current = false
    }
  }, [keep])

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
      keep([...read(), { ...what, client_id: clientId(), happened_at: new Date().toISOString() }])
      void drain()
    },
    [drain, keep],
  )
  return { ...state, unsent, trouble, touch, calm: () => setTrouble("") }
}
