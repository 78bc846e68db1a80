import { useState } from "react"
import { sendForLines } from "@/lib/api"
import { useAnswer } from "@/lib/requests"
import type { Proposal, ProposalsAnswer, Wish } from "@/types"

const QUIET_MS = 120

type Told = {
  /** The wish that this is told of. */
  of: Wish | null
  /** The first few as they are made, until the answer is there. */
  early: Proposal[]
  answer: ProposalsAnswer | null
  /** Share of runs in which each is ready in time, as far as it is drawn. */
  chances: Record<string, number>
}
type Line = { early?: Proposal; answer?: ProposalsAnswer; chances?: Record<string, number> }

const NOTHING: Told = { of: null, early: [], answer: null, chances: {} }

/** Ways that come to a wish, told as they are reckoned; those of the wish before stay until the first of the next. */
export function useWays(piece: number, wish: Wish) {
  const [told, setTold] = useState<Told>(NOTHING)
  const { error } = useAnswer({
    key: ["ways", piece, wish],
    ask: async (signal) => {
      const onLine = (line: unknown) =>
        setTold((before) => added(before.of === wish ? before : fresh(wish), line as Line))
      await sendForLines(`/pieces/${piece}/ways`, { wish }, onLine, signal)
      return true
    },
    after: QUIET_MS,
  })
  const { early, answer, chances } = told
  return { ways: answer?.proposals ?? early, answer, chances, error, reckoning: told.of !== wish || !answer }
}

const fresh = (wish: Wish): Told => ({ ...NOTHING, of: wish })

function added(told: Told, { early, answer, chances }: Line): Told {
  if (early) return { ...told, early: [...told.early, early].sort((one, other) => one.ready_at - other.ready_at) }
  return { ...told, answer: answer ?? told.answer, chances: { ...told.chances, ...chances } }
}
