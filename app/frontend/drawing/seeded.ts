/** Numbers from 0 to 1 that look drawn by lot and are the same each time. */
export function seeded(seed: number): () => number {
  let state = seed
  return () => {
    state = (state * 1664525 + 1013904223) % 4294967296
    return state / 4294967296
  }
}
