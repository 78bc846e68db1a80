import { useSyncExternalStore } from "react"

const listeners = new Set<() => void>()
const current = () => localStorage.getItem("rhexon.look-light") ?? "D65"

/** The light in which this device shows looks; every place that shows them follows. */
export function useLight(): [string, (id: string) => void] {
  const light = useSyncExternalStore((listen) => {
    listeners.add(listen)
    return () => listeners.delete(listen)
  }, current)
  return [
    light,
    (id) => {
      localStorage.setItem("rhexon.look-light", id)
      for (const listen of listeners) listen()
    },
  ]
}

/** The light after this one. */
export const nextLight = (lights: { id: string }[], light: string): string =>
  lights[(lights.findIndex((candidate) => candidate.id === light) + 1) % lights.length]?.id ?? light
