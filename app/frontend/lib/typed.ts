/**
 * A figure as it was typed, for the server to read: nothing is null, and what is no number goes on as it stands, to be
 * refused in words beside its field.
 */
export const typedNumber = (text: string): number | string | null => {
  const plain = text.trim().replace(",", ".").replace("−", "-")
  if (plain === "") return null
  const value = Number(plain)
  return Number.isFinite(value) ? value : text
}

const GLYPHS: Record<string, string> = { "½": "1/2", "¼": "1/4", "¾": "3/4", "⅓": "1/3", "⅔": "2/3", "⅛": "1/8" }

/** "1,5", "1 1/2" and "2½" as a number; null for what is none. */
export function figure(text: string): number | null {
  const plain = text
    .trim()
    .replace(/[½¼¾⅓⅔⅛]/g, (glyph) => ` ${GLYPHS[glyph]}`)
    .trim()
  const parts = /^(?:(\d+)\s+)?(\d+)\/([1-9]\d*)$/.exec(plain)
  if (parts) return Number(parts[1] ?? 0) + Number(parts[2]) / Number(parts[3])
  const number = typedNumber(plain)
  return typeof number === "number" ? number : null
}

/** What was typed with a unit, sent as it stands in place of a figure: the server reads it, or refuses it in words. */
export const asTyped = (text: string): number => text.trim() as unknown as number
