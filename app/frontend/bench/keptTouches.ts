import { createStore, del, set, type UseStore, values } from "idb-keyval"
import type { Unsent } from "./touch"

let opened: UseStore | null = null
const shelf = (): UseStore => {
  opened ??= createStore("rhexon-bench", "touches")
  return opened
}

/**
 * Keeps a touch on this device, each by itself: two pages of one device never write over one another. Where the device
 * keeps nothing (full, or private) the page holds it as long as it is open.
 */
export async function keepTouch(touch: Unsent): Promise<void> {
  await quietly(() => set(touch.client_id, touch, shelf()))
}

export async function forgetTouch(id: string): Promise<void> {
  await quietly(() => del(id, shelf()))
}

/** @returns the touches in the order they were made; what is there and is no touch is left out */
export async function keptTouches(): Promise<Unsent[]> {
  const kept = (await quietly(() => values<unknown>(shelf()))) ?? []
  return kept.filter(isUnsent).sort((one, other) => one.order - other.order)
}

const isUnsent = (kept: unknown): kept is Unsent =>
  typeof kept === "object" &&
  kept !== null &&
  "client_id" in kept &&
  typeof kept.client_id === "string" &&
  "order" in kept &&
  typeof kept.order === "number"

async function quietly<T>(work: () => Promise<T>): Promise<T | undefined> {
  try {
    return await work()
  } catch {
    return undefined
  }
}
