/** A number to read: as many decimals as asked, none that say nothing. */
export const round = (value: number, decimals = 0): string => {
  const fixed = value.toFixed(Math.abs(value) < 10 ? Math.max(decimals, 1) : decimals)
  return fixed.includes(".") ? fixed.replace(/\.?0+$/, "") : fixed
}
