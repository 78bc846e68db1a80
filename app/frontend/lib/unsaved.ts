import { router } from "@inertiajs/react"
import { useEffect, useId, useState } from "react"

/** Forms of this page that hold what is not saved. */
const dirty = new Set<string>()

/** Tells the page that it holds what is not saved: whoever leaves it is asked first. */
export function useUnsaved(changed: boolean) {
  const id = useId()
  useEffect(() => {
    if (changed) dirty.add(id)
    else dirty.delete(id)
    return () => void dirty.delete(id)
  }, [changed, id])
}

/** Lets the next way out of the page pass: what was not saved is given up. */
export const discardUnsaved = () => dirty.clear()

/** Asks whoever leaves; set by the page that is shown. */
let asks: ((way: () => void) => void) | null = null

/**
 * Stands in the way of "back". Called before the pages begin: what listens first is asked first, and once the page was
 * drawn anew what was typed would be gone.
 */
export function guardHistory() {
  let returning = false
  addEventListener("popstate", (event) => {
    if (!returning && (dirty.size === 0 || asks === null)) return
    event.stopImmediatePropagation()
    if (returning) {
      returning = false
      return
    }
    returning = true
    history.forward()
    asks?.(() => history.back())
  })
}

/**
 * Stands in the way of links, of back and of closing the tab as long as something is not saved.
 * @returns how the page would be left, once somebody tried; and what forgets it again
 */
export function useLeaving(): [(() => void) | null, () => void] {
  const [leave, setLeave] = useState<(() => void) | null>(null)
  useEffect(() => {
    asks = (way) => setLeave(() => way)
    const stop = router.on("before", (event) => {
      const { visit } = event.detail
      const stays = visit.method !== "get" || visit.prefetch || visit.url.pathname === location.pathname
      if (dirty.size === 0 || stays) return
      event.preventDefault()
      setLeave(() => () => router.visit(visit.url, visit))
    })
    const close = (event: BeforeUnloadEvent) => {
      if (dirty.size > 0) event.preventDefault()
    }
    addEventListener("beforeunload", close)
    return () => {
      asks = null
      stop()
      removeEventListener("beforeunload", close)
    }
  }, [])
  return [leave, () => setLeave(null)]
}
