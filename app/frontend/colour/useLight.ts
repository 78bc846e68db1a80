import { keptSetting } from "@/lib/kept"

/** The light in which this device shows looks; every place that shows them follows. */
export const useLight = keptSetting<string>("rhexon.look-light", (kept) => kept ?? "D65")

/** The light after this one. */
export const nextLight = (lights: { id: string }[], light: string): string =>
  lights[(lights.findIndex((candidate) => candidate.id === light) + 1) % lights.length]?.id ?? light
