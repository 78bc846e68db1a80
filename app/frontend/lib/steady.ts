import { type RefObject, useEffect, useLayoutEffect, useRef, useState } from "react"

/** So long after the last touch rows stay where they are. */
const CALM_MS = 5000
const MOVES_MS = 350
const TOUCHES = ["pointerdown", "pointerup", "keydown", "wheel", "touchmove"] as const

export type Steady<T> = { row: T; gone: boolean }

/** Whether nobody has touched the page for a while. */
export function useCalm(after = CALM_MS): boolean {
  const [calm, setCalm] = useState(true)
  useEffect(() => {
    let timer: ReturnType<typeof setTimeout>
    const touched = () => {
      clearTimeout(timer)
      setCalm(false)
      timer = setTimeout(() => setCalm(true), after)
    }
    for (const name of TOUCHES) window.addEventListener(name, touched, { capture: true, passive: true })
    return () => {
      clearTimeout(timer)
      for (const name of TOUCHES) window.removeEventListener(name, touched, { capture: true })
    }
  }, [after])
  return calm
}

/** The same places with what is known now: what is gone keeps its place, what is new comes last. */
export function steadied<T>(shown: T[], rows: T[], keyOf: (row: T) => string): Steady<T>[] {
  const known = new Map(rows.map((row) => [keyOf(row), row]))
  const kept = shown.map((row) => ({ row: known.get(keyOf(row)) ?? row, gone: !known.has(keyOf(row)) }))
  const places = new Set(shown.map(keyOf))
  return [...kept, ...rows.filter((row) => !places.has(keyOf(row))).map((row) => ({ row, gone: false }))]
}

/** Rows that change their places only when nobody has touched the page for a while, so that none slips from under a finger. */
export function useSteady<T>(rows: T[], keyOf: (row: T) => string, calm: boolean): Steady<T>[] {
  const shown = useRef<T[]>(rows)
  if (calm) shown.current = rows
  return steadied(shown.current, rows, keyOf)
}

/** Rows glide to their new places. They are the children of the list, known by data-key. */
export function useGlide(list: RefObject<HTMLElement | null>) {
  const places = useRef(new Map<string, [number, number]>())
  useLayoutEffect(() => {
    const now = new Map<string, [number, number]>()
    const still = window.matchMedia?.("(prefers-reduced-motion: reduce)").matches
    for (const row of (list.current?.children ?? []) as Iterable<HTMLElement>) {
      const key = row.dataset.key
      if (!key) continue
      const [x, y] = [row.offsetLeft, row.offsetTop]
      now.set(key, [x, y])
      const [fromX, fromY] = places.current.get(key) ?? [x, y]
      if (still || (fromX === x && fromY === y)) continue
      const from = `translate(${fromX - x}px, ${fromY - y}px)`
      row.animate?.([{ transform: from }, { transform: "none" }], { duration: MOVES_MS, easing: "ease-out" })
    }
    places.current = now
  })
}
