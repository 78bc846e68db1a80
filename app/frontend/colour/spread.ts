/**
 * Places in a row, px: each where it would stand, but none nearer than `least` to the next nor to the end. Where there
 * is no room for that, all are equally wide. The first stands at 0.
 */
export function spread(wanted: number[], end: number, least: number): number[] {
  const count = wanted.length
  if (count * least >= end) return wanted.map((_, index) => (index * end) / count)
  const pushed: number[] = []
  for (const [index, x] of wanted.entries())
    pushed.push(index === 0 ? 0 : Math.max(x, (pushed[index - 1] ?? 0) + least))
  return pushed.map((x, index) => Math.min(x, end - (count - index) * least))
}
