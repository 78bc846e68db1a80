import { useSyncExternalStore } from "react"
import { recall, remember } from "./device"

/** A setting that this device keeps; every place that shows it follows. */
export function keptSetting<T extends string>(
  key: string,
  read: (kept: string | null) => T,
): () => [T, (next: T) => void] {
  const listeners = new Set<() => void>()
  const current = () => read(recall(key))
  const listen = (listener: () => void) => {
    listeners.add(listener)
    return () => listeners.delete(listener)
  }
  const set = (next: T) => {
    remember(key, next)
    for (const listener of listeners) listener()
  }
  return () => [useSyncExternalStore(listen, current), set]
}
