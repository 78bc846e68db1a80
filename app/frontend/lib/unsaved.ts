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

/**
 * Stands in the way of links, of back and of closing the tab as long as something is not saved.
 * @returns how the page would be left, once somebody tried; and what forgets it again
 */
export function useLeaving(): [(() => void) | null, () => void] {
  const [leave, setLeave] = useState<(() => void) | null>(null)
  useEffect(() => {
    let returning = false
    const asks = (way: () => void) => setLeave(() => way)
    const stop = router.on("before", (event) => {
      const { visit } = event.detail
      const stays = visit.method !== "get" || visit.prefetch || visit.url.pathname === location.pathname
      if (dirty.size === 0 || stays) return
      event.preventDefault()
      asks(() => router.visit(visit.url, visit))
    })
    const back = (event: PopStateEvent) => {
      if (returning || dirty.size === 0) {
        returning = false
        return
      }
      event.stopImmediatePropagation()
      returning = true
      history.forward()
      asks(() => history.back())
    }
    const close = (event: BeforeUnloadEvent) => {
      if (dirty.size > 0) event.preventDefault()
    }
    addEventListener("popstate", back, { capture: true })
    addEventListener("beforeunload", close)
    return () => {
      stop()
      removeEventListener("popstate", back, { capture: true })
      removeEventListener("beforeunload", close)
    }
  }, [])
  return [leave, () => setLeave(null)]
}
