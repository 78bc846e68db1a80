import { router } from "@inertiajs/react"
import { useEffect } from "react"

const EVERY_MS = 15_000

/** Asks for the page again, as long as it is not from the shop's computer. */
export function useReturn(away: boolean): void {
  useEffect(() => {
    if (!away) return
    const timer = setInterval(() => router.reload(), EVERY_MS)
    return () => clearInterval(timer)
  }, [away])
}
