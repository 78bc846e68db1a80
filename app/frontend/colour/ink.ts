/** Ink that can be read on a colour: black from L* 49.5 up, white below; both are at least 4.5 to 1 there. */
export const inkOn = (lightness: number): string => (lightness >= 49.5 ? "var(--black)" : "var(--white)")
