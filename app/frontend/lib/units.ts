import { keptSetting } from "./kept"

export type System = "metric" | "us"

// Exact by definition (NIST SP 811); the server stores grams and millilitres only.
const G_PER_OZ = 28.349523125
const ML_PER_FL_OZ = 29.5735295625

/** The units this device shows, and the switch; every place that shows amounts follows. */
export const useUnits = keptSetting<System>("rhexon.units", (kept) => (kept === "us" ? "us" : "metric"))

/** Digits that a step of this size can show. */
const digits = (step: number) => Math.max(0, Math.ceil(-Math.log10(step) - 1e-9))

/** "472.7 g", "1.84 kg", "16.67 oz": as fine as the scale shows. */
export function mass(grams: number, system: System, step = 1): string {
  const [number, unit] = massParts(grams, system, step)
  return `${number} ${unit}`
}

export function massParts(grams: number, system: System, step = 1): [string, string] {
  if (system === "us") return [(grams / G_PER_OZ).toFixed(Math.max(1, digits(step / G_PER_OZ))), "oz"]
  return [grams.toFixed(digits(step)), "g"]
}

/** For reading, not for weighing: "4.8 kg", "380 g". */
export function roughMass(grams: number, system: System): string {
  if (system === "us") return grams / G_PER_OZ >= 32 ? `${(grams / G_PER_OZ / 16).toFixed(1)} lb` : `${(grams / G_PER_OZ).toFixed(1)} oz`
  return grams >= 1000 ? `${(grams / 1000).toFixed(1)} kg` : `${Math.round(grams)} g`
}

/** "455 ml", "15.4 fl oz" */
export function volume(ml: number, system: System): string {
  if (system === "us") return ml / ML_PER_FL_OZ >= 64 ? `${(ml / 3785.411784).toFixed(2)} gal` : `${(ml / ML_PER_FL_OZ).toFixed(1)} fl oz`
  return ml >= 2000 ? `${(ml / 1000).toFixed(1)} L` : `${Math.round(ml)} ml`
}
