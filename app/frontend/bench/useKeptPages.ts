import { useEffect } from "react"

const SOON_MS = 8_000
const EVERY_MS = 15 * 60_000
const BESIDE = ["/bench/day", "/record", "/mix"]

/**
 * Has this device keep the pages that the bench leads to, so that they can be opened without the shop's computer: after
 * the bench itself is there, and again every quarter of an hour.
 * @param mixes addresses of the mixes in hand
 */
export function useKeptPages(mixes: string[]): void {
  const all = mixes.filter((path) => path.startsWith("/mix/")).join(" ")
  useEffect(() => {
    const keep = () => navigator.serviceWorker?.controller?.postMessage([...BESIDE, ...all.split(" ").filter(Boolean)])
    const first = setTimeout(keep, SOON_MS)
    const timer = setInterval(keep, EVERY_MS)
    return () => {
      clearTimeout(first)
      clearInterval(timer)
    }
  }, [all])
}
