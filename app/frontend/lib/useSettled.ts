import { useEffect, useState } from "react"

/** The two taps of a glove come within this time. */
const SETTLES_MS = 400

/**
 * Whether what a button does has stood for a moment: the second of two taps was not meant for what the first made of
 * it.
 */
export function useSettled(what: string): boolean {
  const [settled, setSettled] = useState(what)
  useEffect(() => {
    const timer = setTimeout(() => setSettled(what), SETTLES_MS)
    return () => clearTimeout(timer)
  }, [what])
  return settled === what
}
