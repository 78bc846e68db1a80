import { useState } from "react"
import { send } from "@/lib/api"
import { useAnswer } from "@/lib/requests"

/** Left, top, width and height as shares of the photo. */
export type Part = [number, number, number, number]
export type MarkName = "patch" | "grey" | "white"
export type Marks = { patch: Part; grey: Part; white?: Part }
export type PatchColour = { lab: [number, number, number]; hex: string }

const FIRST: Marks = { patch: [0.42, 0.42, 0.14, 0.14], grey: [0.08, 0.08, 0.1, 0.1] }
// A frame that is being drawn out asks nothing.
const STILL_MS = 120
const WHITE: Part = [0.08, 0.6, 0.1, 0.1]

/**
 * Marks on a photo and the colour that the server makes of them, once the grey frame was put on its card; the last
 * answer stays while the next is on its way.
 */
export function usePatch(photo: number, on: boolean) {
  const [marks, setMarks] = useState<Marks>(FIRST)
  const placed = marks.grey !== FIRST.grey
  const { answer, error } = useAnswer({
    key: ["patch", photo, marks],
    ask: (signal) => send<PatchColour>("POST", `/photos/${photo}/colour`, marks, signal),
    on: on && placed,
    after: STILL_MS,
    keep: true,
  })
  return { marks, setMarks, colour: error ? null : answer, error: error?.sentence ?? "", placed }
}

/** A white card as well, or no longer. */
export const withWhite = (marks: Marks, on: boolean): Marks => ({ ...marks, white: on ? WHITE : undefined })

const clamp = (value: number, low: number, high: number) => Math.min(Math.max(value, low), high)

/** A mark moved, kept inside the photo. */
export const moved = ([left, top, width, height]: Part, by: [number, number]): Part => [
  clamp(left + by[0], 0, 1 - width),
  clamp(top + by[1], 0, 1 - height),
  width,
  height,
]

/** A mark made larger or smaller about its middle. */
export const sized = ([left, top, width, height]: Part, by: number): Part => {
  const [wide, high] = [clamp(width * by, 0.02, 0.6), clamp(height * by, 0.02, 0.6)]
  return moved([left + (width - wide) / 2, top + (height - high) / 2, wide, high], [0, 0])
}
