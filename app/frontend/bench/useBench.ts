import { useCallback, useMemo } from "react"
import { send } from "@/lib/api"
import { useOutbox } from "@/outbox/useOutbox"
import { usePlace } from "@/outbox/usePlace"
import { wakeSound } from "@/timers/bell"
import type { BenchPage } from "@/types"
import { ahead } from "./ahead"
import { ENTRIES, ofBench, type Touch } from "./touch"

const PLACE = "/bench"

const KIND: Record<Touch["kind"], string> = {
  started: "Start",
  done: "Done",
  tick: "Tick",
  measured: "Measured",
  dry_test: "Dry test",
  fault: "Fault",
  acknowledged: "Cautions read",
  rags: "Rags dealt with",
  correction: "Take back",
}

const ask = (signal: AbortSignal) => send<BenchPage>("GET", PLACE, undefined, signal)

/**
 * The bench and its log: what is shown, with the touches that the server does not have yet, and the way to touch.
 * @param keptAt when the page was kept on this device (ms), where the server did not answer
 */
export function useBench(first: BenchPage, keptAt?: number) {
  const { state, at, away } = usePlace({ place: PLACE, first, keptAt, ask })
  const { box, unsettled } = useOutbox()
  const page = useMemo(() => ahead(state, ofBench(unsettled)), [state, unsettled])

  const touch = useCallback(
    (what: Touch) => {
      const { running, upcoming, today, chosen } = state.bench
      const row = [...running, ...upcoming, ...today, chosen].find((one) => one?.key === what.pass)
      const words = [KIND[what.kind], row?.words].filter(Boolean).join(", ")
      const body = { ...what, happened_at: what.happened_at ?? new Date().toISOString() }
      wakeSound()
      void box.add({ place: PLACE, path: ENTRIES, body, words })
    },
    [box, state],
  )
  return { ...page, at, away, touch }
}
