import { useSyncExternalStore } from "react"
import { recallRecord, remember } from "@/lib/device"

/** Something to be rung at its time: what is called out, and whether it was rung and heard. */
export type Timer = { at: number; words: string; rung?: boolean; heard?: boolean }
export type Timers = Record<string, Timer>

const KEY = "rhexon.timers"
/** What was heard so long ago is of another day. */
const KEPT_MS = 12 * 3_600_000

const isTimer = (one: unknown): one is Timer =>
  typeof one === "object" &&
  one !== null &&
  typeof (one as Timer).at === "number" &&
  typeof (one as Timer).words === "string"

function read(): Timers {
  const since = Date.now() - KEPT_MS
  return Object.fromEntries(
    Object.entries(recallRecord(KEY)).filter(
      (entry): entry is [string, Timer] => isTimer(entry[1]) && entry[1].at > since,
    ),
  )
}

const listeners = new Set<() => void>()
let known = read()

function changed(next: Timers): void {
  known = next
  for (const listener of listeners) listener()
}

// Another page of this device set or heard one.
if (typeof window !== "undefined")
  window.addEventListener("storage", ({ key }) => {
    if (key === KEY) changed(read())
  })

function change(id: string, timer: Timer | null): void {
  const { [id]: _, ...others } = read()
  const next = timer ? { ...others, [id]: timer } : others
  remember(KEY, JSON.stringify(next))
  changed(next)
}

export const timers = {
  all: (): Timers => known,
  set: (id: string, at: number, words: string): void => change(id, { at, words }),
  drop: (id: string): void => change(id, null),
  mark: (id: string, as: { rung?: true; heard?: true }): void => {
    const timer = read()[id]
    if (timer) change(id, { ...timer, ...as })
  },
  /** The plan has moved what it is about. */
  move: (id: string, at: number): void => {
    const timer = read()[id]
    if (timer && !timer.rung && timer.at !== at) change(id, { ...timer, at })
  },
}

const listen = (listener: () => void) => {
  listeners.add(listener)
  return () => listeners.delete(listener)
}

/** The timers of this device, of every page; they survive a reload. */
export const useTimers = (): Timers => useSyncExternalStore(listen, timers.all)

/** The next that has to ring, with its id. */
export const next = (all: Timers): [string, Timer] | undefined =>
  Object.entries(all)
    .filter(([, timer]) => !timer.rung)
    .sort(([, one], [, other]) => one.at - other.at)[0]
