import { useEffect, useRef } from "react"

/** Does the last thing that was asked for, once nothing was asked for so long. */
export function useLater(ms: number): (act: () => void) => void {
  const timer = useRef<ReturnType<typeof setTimeout> | undefined>(undefined)
  useEffect(() => () => clearTimeout(timer.current), [])
  return (act) => {
    clearTimeout(timer.current)
    timer.current = setTimeout(act, ms)
  }
}
