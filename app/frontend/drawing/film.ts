// Geometry of the film section: numbers in, paths out.
import { curveLinearClosed, line } from "d3-shape"
import type { Axis } from "./axis"

export type Point = [number, number]

/** Height of a layer's top at a minute, straight between its points. */
export function heightAt(top: Point[], minute: number): number {
  const after = top.findIndex((point) => point[0] >= minute)
  const last = top.at(-1)
  if (after === -1) return last?.[1] ?? 0
  const one = top[after - 1]
  const other = top[after] as Point
  if (!one) return other[1]
  return one[1] + ((other[1] - one[1]) * (minute - one[0])) / Math.max(other[0] - one[0], 1)
}

/** The line of a top from one minute to another, both ends included. */
export function run(top: Point[], from: number, to: number): Point[] {
  const inner = top.filter((point) => point[0] > from && point[0] < to)
  return [[from, heightAt(top, from)], ...inner, [to, heightAt(top, to)]]
}

/** Closed path between the top of a layer and what lies below it. */
export function band(
  axis: Axis,
  y: (um: number) => number,
  top: Point[],
  below: Point[] | null,
  from: number,
  to: number,
): string {
  const lower: Point[] = below
    ? run(below, from, to)
    : [
        [from, 0],
        [to, 0],
      ]
  return path(axis, y).curve(curveLinearClosed)([...run(top, from, to), ...lower.reverse()]) ?? ""
}

/** The top of a layer. */
export const outline = (axis: Axis, y: (um: number) => number, top: Point[], from: number, to: number): string =>
  path(axis, y)(run(top, from, to)) ?? ""

/** Straight between points of minutes and µm, in tenths of a pixel. */
const path = (axis: Pick<Axis, "x">, y: (um: number) => number) =>
  line<Point>(
    ([minute]) => axis.x(minute),
    ([, um]) => y(um),
  ).digits(1)

/** A zig-zag: two films that will not bite. */
export function zigzag(x1: number, x2: number, y: number): string {
  const steps = Math.max(Math.floor((x2 - x1) / 6), 1)
  const points = Array.from({ length: steps + 1 }, (_, index): Point => [x1 + index * 6, index % 2 ? y - 3 : y + 3])
  return line().digits(1)(points) ?? ""
}

/** Rounded steps of the film axis, in the unit shown: 4 to 7 lines. */
export function filmSteps(most: number): number[] {
  const step = [0.1, 0.2, 0.5, 1, 2, 5, 10, 20, 25, 50, 100, 200].find((candidate) => most / candidate <= 6.5) ?? 500
  return Array.from({ length: Math.floor(most / step) + 1 }, (_, index) => index * step)
}

export type Label = { key: string; x: number; y: number; text: string; width: number; strong?: boolean }

export type Box = { x1: number; x2: number; y: number }

/** Places labels by priority: at the peak, one row up, left or right; else only the number; else not at all. */
export function placeLabels(
  wanted: (Label & { short: string })[],
  width: number,
  reserved: Box[] = [],
): (Label & { placed: string })[] {
  const taken = [...reserved]
  const free = (x1: number, x2: number, y: number) =>
    x1 >= 0 &&
    x2 <= width &&
    y > 12 &&
    !taken.some((box) => x1 < box.x2 + 4 && x2 > box.x1 - 4 && Math.abs(box.y - y) < 15)
  return wanted.flatMap((label) => {
    const tries: [string, number, number, number][] = [
      [label.text, label.x, label.y, label.width],
      [label.text, label.x, label.y - 16, label.width],
      [label.text, label.x + label.width / 2 + 8, label.y + 4, label.width],
      [label.text, label.x - label.width / 2 - 8, label.y + 4, label.width],
      [label.short, label.x, label.y, 12],
      [label.short, label.x, label.y - 16, 12],
    ]
    const spot =
      tries.find(([, x, y, wide]) => free(x - wide / 2, x + wide / 2, y)) ?? (label.strong ? tries[0] : undefined)
    if (!spot) return []
    const [placed, x, y, wide] = spot
    taken.push({ x1: x - wide / 2, x2: x + wide / 2, y })
    return [{ ...label, placed, x, y }]
  })
}
