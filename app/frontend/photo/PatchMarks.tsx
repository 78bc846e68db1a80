import { type KeyboardEvent, type PointerEvent, useEffect, useRef, useState } from "react"
import { type MarkName, type Marks, moved, type Part, sized, withWhite } from "./usePatch"

const STEP = 0.01
const LARGER = 1.15
const NAMES: Record<MarkName, string> = { patch: "colour", grey: "grey card", white: "white card" }

type Props = { src: string; alt: string; marks: Marks; onMarks: (marks: Marks) => void }

/**
 * Frames on a photo: over the colour, over the grey card, and over a white one if there is one. Dragged; arrows move,
 * plus and minus size the one in hand.
 */
export function PatchMarks({ src, alt, marks, onMarks }: Props) {
  const holder = useRef<HTMLDivElement>(null)
  const from = useRef<{ x: number; y: number; part: Part } | null>(null)
  const [inHand, setInHand] = useState<MarkName>("patch")
  const names = (["patch", "grey", "white"] as const).filter((name) => marks[name])
  useEffect(() => holder.current?.querySelector<HTMLElement>("[data-mark]")?.focus(), [])
  const set = (name: MarkName, part: Part) => onMarks({ ...marks, [name]: part })
  const size = (by: number) => set(inHand, sized(marks[inHand] ?? marks.patch, by))
  const drag = (name: MarkName, event: PointerEvent) => {
    const box = holder.current?.getBoundingClientRect()
    if (!from.current || !box) return
    const { x, y, part } = from.current
    set(name, moved(part, [(event.clientX - x) / box.width, (event.clientY - y) / box.height]))
  }
  const press = (name: MarkName, event: KeyboardEvent) => {
    const part = marks[name] ?? marks.patch
    const step = event.shiftKey ? STEP * 5 : STEP
    const by = { ArrowLeft: [-step, 0], ArrowRight: [step, 0], ArrowUp: [0, -step], ArrowDown: [0, step] }[event.key] as
      | [number, number]
      | undefined
    if (by) set(name, moved(part, by))
    else if (event.key === "+" || event.key === "=") set(name, sized(part, LARGER))
    else if (event.key === "-") set(name, sized(part, 1 / LARGER))
    else return
    event.preventDefault()
  }
  return (
    <>
      <p className="text-second text-fine mt-2">
        Put one frame on the colour and one on the grey card: drag it, or move it with the arrows.
      </p>
      <div ref={holder} className="patch-photo">
        <img src={src} alt={alt} draggable={false} />
        {names.map((name) => {
          const [left, top, width, height] = (marks[name] as Part).map((share) => `${share * 100}%`)
          return (
            <button
              key={name}
              type="button"
              className="patch-mark"
              data-mark={name}
              aria-label={`Frame over the ${NAMES[name]}: arrows move it, plus and minus size it`}
              style={{ left, top, width, height }}
              onFocus={() => setInHand(name)}
              onKeyDown={(event) => press(name, event)}
              onPointerDown={(event) => {
                event.currentTarget.setPointerCapture(event.pointerId)
                from.current = { x: event.clientX, y: event.clientY, part: marks[name] as Part }
                setInHand(name)
              }}
              onPointerMove={(event) => drag(name, event)}
              onPointerUp={() => {
                from.current = null
              }}
            >
              <span>{NAMES[name]}</span>
            </button>
          )
        })}
      </div>
      <div className="mt-2 flex flex-wrap items-center gap-2">
        <button
          type="button"
          className="ui-button"
          aria-label={`${NAMES[inHand]}: smaller frame`}
          onClick={() => size(1 / LARGER)}
        >
          −
        </button>
        <button
          type="button"
          className="ui-button"
          aria-label={`${NAMES[inHand]}: larger frame`}
          onClick={() => size(LARGER)}
        >
          +
        </button>
        <span className="text-second text-fine">frame of the {NAMES[inHand]}</span>
        <label className="ui-check ml-auto">
          <input
            type="checkbox"
            checked={marks.white !== undefined}
            onChange={(event) => onMarks(withWhite(marks, event.target.checked))}
          />
          a white card is in the picture too
        </label>
      </div>
    </>
  )
}
