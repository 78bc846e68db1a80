import { useEffect, useRef } from "react"

type Way = -1 | 1

const TYPED_MS = 120

/**
 * Tells which value a hand is about to set: on minus or plus the next one as it comes near, the two after it once it
 * has pressed; in the field what stands there for a moment.
 */
export function useNear(value: number, next: (from: number, way: Way) => number, near?: (value: number) => void) {
  const way = useRef<Way | null>(null)
  const tell = (from: number, to: Way): number => {
    const coming = next(from, to)
    if (coming !== from) near?.(coming)
    return coming
  }
  // biome-ignore lint/correctness/useExhaustiveDependencies: told once for each value
  useEffect(() => {
    if (way.current) tell(tell(value, way.current), way.current)
  }, [value])
  const leans = (to: Way) => () => {
    way.current = to
    tell(value, to)
  }
  const leaves = () => {
    way.current = null
  }
  const pause = useRef<ReturnType<typeof setTimeout>>(undefined)
  useEffect(() => () => clearTimeout(pause.current), [])
  return {
    /** @param to which way the button goes */
    button: (to: Way) => ({
      onPointerEnter: leans(to),
      onFocus: leans(to),
      onPointerLeave: leaves,
      onBlur: leaves,
      onClickCapture: () => {
        way.current = to
      },
    }),
    typed: (coming: number) => {
      clearTimeout(pause.current)
      pause.current = setTimeout(() => coming !== value && near?.(coming), TYPED_MS)
    },
  }
}
