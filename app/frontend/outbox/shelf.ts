import { del, get, promisifyRequest, set, type UseStore, values } from "idb-keyval"
import { type Kept, keptFrom } from "./kept"

// A device whose storage hangs is one that keeps nothing: a touch does not wait for it.
const LONGEST_MS = 2_000

/** Written to the disk before it counts as kept: the battery may be empty the next moment. */
function durableStore(database: string, store: string): UseStore {
  let opened: Promise<IDBDatabase> | undefined
  const open = () => {
    const request = indexedDB.open(database)
    request.onupgradeneeded = () => request.result.createObjectStore(store)
    return promisifyRequest(request)
  }
  return async (mode, work) => {
    opened ??= open()
    opened.catch(() => {
      opened = undefined
    })
    const transaction = (await opened).transaction(store, mode, { durability: "strict" })
    return work(transaction.objectStore(store))
  }
}

const touches = durableStore("rhexon-bench", "touches")
const answers = durableStore("rhexon-answers", "answers")

/**
 * Keeps a touch on this device, each by itself: two pages of one device never write over one another. Where the device
 * keeps nothing (full, or private) the page holds it as long as it is open.
 */
export async function keep(touch: Kept): Promise<void> {
  await quietly(() => set(touch.client_id, touch, touches))
}

export async function forget(id: string): Promise<void> {
  await quietly(() => del(id, touches))
}

/**
 * After an empty battery the storage may need a while to open; what was kept comes whenever it is there.
 * @returns the touches in the order they were made; what is there and is no touch is left out
 */
export async function allKept(): Promise<Kept[]> {
  const found = await values<unknown>(touches).catch(() => [])
  return found
    .map(keptFrom)
    .filter((touch) => touch !== null)
    .sort((one, other) => one.order - other.order)
}

/** What the server said last of a place, and when (ms). */
export type Told = { answer: unknown; at: number }

export async function keepAnswer(place: string, told: Told): Promise<void> {
  await quietly(() => set(place, told, answers))
}

export async function keptAnswer(place: string): Promise<Told | undefined> {
  const told = await get<unknown>(place, answers).catch(() => undefined)
  return typeof told === "object" && told !== null && "at" in told && typeof told.at === "number"
    ? (told as Told)
    : undefined
}

/** Waits for what the device's storage does, as long as a hand would. */
export async function briefly<T>(work: Promise<T>): Promise<T | undefined> {
  let timer: ReturnType<typeof setTimeout> | undefined
  const tired = new Promise<undefined>((resolve) => {
    timer = setTimeout(() => resolve(undefined), LONGEST_MS)
  })
  try {
    return await Promise.race([work, tired])
  } finally {
    clearTimeout(timer)
  }
}

const quietly = (work: () => Promise<unknown>): Promise<unknown> => briefly(work().catch(() => undefined))
