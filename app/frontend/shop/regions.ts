/** A country with what a shop there begins with. */
export type ShopCountry = { code: string; currency: string; units: "metric" | "us"; zones: string[] }

const named = (type: "currency" | "region", code: string): string => {
  try {
    return new Intl.DisplayNames(navigator.languages as string[], { type }).of(code) ?? code
  } catch {
    return code
  }
}

export const currencyName = (code: string) => `${code}, ${named("currency", code)}`
export const countryName = (code: string) => named("region", code)
export const zoneName = (zone: string) => zone.replaceAll("_", " ")

/** Where this device is: by its zone, which is set with care, else by its language. */
export function countryHere(
  countries: ShopCountry[],
  zone = Intl.DateTimeFormat().resolvedOptions().timeZone,
  language = navigator.language,
): ShopCountry | undefined {
  const spoken = new Intl.Locale(language).maximize().region
  const inZone = countries.filter((country) => country.zones.includes(zone))
  return (
    inZone.find((country) => country.code === spoken) ??
    inZone.find((country) => country.zones[0] === zone) ??
    inZone[0] ??
    countries.find((country) => country.code === spoken)
  )
}
