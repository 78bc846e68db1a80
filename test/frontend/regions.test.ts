import { expect, test, vi } from "vitest"
import { countryHere, type ShopCountry } from "@/shop/regions"

vi.stubGlobal("navigator", { language: "en-US", languages: ["en-US"] })

const countries: ShopCountry[] = [
  { code: "AT", currency: "EUR", units: "metric", zones: ["Europe/Vienna"] },
  { code: "CA", currency: "CAD", units: "metric", zones: ["America/Toronto"] },
  { code: "DE", currency: "EUR", units: "metric", zones: ["Europe/Berlin"] },
  { code: "DK", currency: "DKK", units: "metric", zones: ["Europe/Berlin"] },
  { code: "US", currency: "USD", units: "us", zones: ["America/New_York", "America/Chicago"] },
]
const here = (zone: string, language: string) => countryHere(countries, zone, language)?.code

test("a device is where its zone is, whatever language it speaks", () => {
  expect(here("America/Chicago", "de-DE")).toBe("US")
  expect(here("Europe/Vienna", "en-US")).toBe("AT")
})

test("where a zone is of more than one country the language says which", () => {
  expect(here("Europe/Berlin", "da-DK")).toBe("DK")
  expect(here("Europe/Berlin", "en-US")).toBe("DE")
})

test("a zone that no country has leaves it to the language, and a language alone to where most speak it", () => {
  expect(here("Etc/UTC", "en-CA")).toBe("CA")
  expect(here("Etc/UTC", "de")).toBe("DE")
  expect(here("Etc/UTC", "eo")).toBeUndefined()
})
