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
