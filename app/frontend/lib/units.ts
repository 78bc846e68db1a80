import { SCALES } from "@/types/scales"
import { keptSetting } from "./kept"

export type System = "metric" | "us"

/** As this device was set, else as the shop's own page is. */
const kept = (key: string) =>
  keptSetting<System>(key, (value) => ((value ?? document.documentElement.dataset.units) === "us" ? "us" : "metric"))

/** The units this device shows for weights and volumes; every place that shows amounts follows. */
export const useUnits = kept("rhexon.units")

const useFilm = kept("rhexon.units.film")
const useArea = kept("rhexon.units.area")
const useTemperature = kept("rhexon.units.temperature")

/** The switch of each quantity, with what its two ways are called. */
export function useSwitches(): {
  name: string
  ways: [System, string][]
  system: System
  choose: (next: System) => void
}[] {
  const [amounts, chooseAmounts] = useUnits()
  const [film, chooseFilm] = useFilm()
  const [area, chooseArea] = useArea()
  const [temperature, chooseTemperature] = useTemperature()
  const ways = (metric: string, us: string): [System, string][] => [
    ["metric", metric],
    ["us", us],
  ]
  return [
    { name: "Weights and volumes", ways: ways("g, ml", "oz, US fl oz"), system: amounts, choose: chooseAmounts },
    { name: "Film", ways: ways("µm", "mil"), system: film, choose: chooseFilm },
    { name: "Areas", ways: ways("m²", "ft²"), system: area, choose: chooseArea },
    { name: "Temperatures", ways: ways("°C", "°F"), system: temperature, choose: chooseTemperature },
  ]
}

/** One quantity as this device shows it, and back to what is stored. */
export type Measure = {
  unit: string
  /** The number alone, rounded for reading; finer adds digits. */
  number: (stored: number, finer?: number) => string
  /** With its unit. */
  text: (stored: number, finer?: number) => string
  stored: (shown: number) => number
  shown: (stored: number) => number
}

const measure = (
  unit: string,
  digits: number,
  shown: (stored: number) => number,
  stored: (shown: number) => number,
): Measure => {
  const number = (value: number, finer = 0) => String(Number(shown(value).toFixed(digits + finer)))
  return { unit, number, text: (value, finer) => `${number(value, finer)} ${unit}`, stored, shown }
}

const same = (value: number) => value
const UM = measure("µm", 0, same, same)
const MIL = measure(
  "mil",
  1,
  (um) => um / SCALES.film.mil,
  (mil) => mil * SCALES.film.mil,
)
const M2 = measure("m²", 1, same, same)
const FT2 = measure(
  "ft²",
  0,
  (m2) => m2 / SCALES.area.ft2,
  (ft2) => ft2 * SCALES.area.ft2,
)
const CELSIUS = measure("°C", 1, same, same)
const FAHRENHEIT = measure(
  "°F",
  0,
  (c) => c * 1.8 + 32,
  (f) => (f - 32) / 1.8,
)

/** Temperatures where no device has chosen yet. */
export const temperatureIn = (system: System): Measure => (system === "us" ? FAHRENHEIT : CELSIUS)

const GRAM = measure("g", 1, same, same)
const OUNCE = measure(
  "oz",
  2,
  (g) => g / SCALES.mass.oz,
  (oz) => oz * SCALES.mass.oz,
)

/** Weights as they are typed. */
export const massMeasure = (system: System): Measure => (system === "us" ? OUNCE : GRAM)

/** Each quantity in both its ways. */
export const MEASURES = { um: UM, mil: MIL, m2: M2, ft2: FT2, celsius: CELSIUS, fahrenheit: FAHRENHEIT }

/** Films, areas and temperatures as this device shows them. */
export function useMeasures(): { film: Measure; area: Measure; temperature: Measure } {
  const [film] = useFilm()
  const [area] = useArea()
  const [temperature] = useTemperature()
  return {
    film: film === "us" ? MIL : UM,
    area: area === "us" ? FT2 : M2,
    temperature: temperature === "us" ? FAHRENHEIT : CELSIUS,
  }
}

/** Digits that a step of this size can show. */
const digits = (step: number) => Math.max(0, Math.ceil(-Math.log10(step) - 1e-9))

/** "472.7 g", "1.84 kg", "16.67 oz": as fine as the scale shows. */
export function mass(grams: number, system: System, step = 1): string {
  const [number, unit] = massParts(grams, system, step)
  return `${number} ${unit}`
}

export function massParts(grams: number, system: System, step = 1): [string, string] {
  if (system === "us") return [(grams / SCALES.mass.oz).toFixed(Math.max(1, digits(step / SCALES.mass.oz))), "oz"]
  return [grams.toFixed(digits(step)), "g"]
}

/** Rounded once in the smaller unit; from so many of them on in the larger one. */
function rough(
  small: number,
  unit: string,
  decimals: number,
  most: number,
  perLarge: number,
  large: string,
  largeDecimals = 1,
): string {
  const rounded = Number(small.toFixed(decimals))
  return rounded >= most
    ? `${(rounded / perLarge).toFixed(largeDecimals)} ${large}`
    : `${rounded.toFixed(decimals)} ${unit}`
}

/** For reading, not for weighing: "4.8 kg", "380 g". */
export const roughMass = (grams: number, system: System): string =>
  system === "us" ? rough(grams / SCALES.mass.oz, "oz", 1, 32, 16, "lb") : rough(grams, "g", 0, 1000, 1000, "kg")

/** "455 ml", "15.4 fl oz" */
export const volume = (ml: number, system: System): string =>
  system === "us" ? rough(ml / SCALES.volume.fl_oz, "fl oz", 1, 64, 128, "gal", 2) : rough(ml, "ml", 0, 2000, 1000, "L")
