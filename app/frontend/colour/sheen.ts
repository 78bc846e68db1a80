/**
 * A long low lamp mirrored in a film: a narrow bright band with sharp edges on gloss, a wide faint veil on matt. As a
 * CSS image over the colour.
 */
export function sheen(gu: number | null | undefined, at = 38): string | undefined {
  if (gu === null || gu === undefined) return undefined
  const share = Math.min(Math.max(gu, 0), 100) / 100
  const alpha = (0.03 + 0.6 * share ** 1.5).toFixed(3)
  const half = 40 - 30 * share ** 0.7
  const flat = half * (0.1 + 0.75 * share)
  const stop = (percent: number) => `${percent.toFixed(1)}%`
  return `linear-gradient(102deg, transparent ${stop(at - half)}, rgb(255 255 255 / ${alpha}) ${stop(at - flat)}, rgb(255 255 255 / ${alpha}) ${stop(at + flat)}, transparent ${stop(at + half)})`
}

/** Colour with the lamp in it, as one CSS background. */
export const lit = (hex: string | null | undefined, gu: number | null | undefined): string | undefined => {
  const lamp = sheen(gu)
  return hex ? (lamp ? `${lamp}, ${hex}` : hex) : undefined
}
