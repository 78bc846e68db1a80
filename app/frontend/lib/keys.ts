import { useEffect, useRef } from "react"
import { recall } from "./device"

const BUSY = "input, select, textarea, [role=slider], [role=menuitem], [contenteditable=true], [role=dialog] *"

/**
 * Single-key shortcuts of a screen; they rest while something that takes keys itself has focus. Space rests on buttons
 * too.
 */
export function useKeys(bindings: Record<string, (event: KeyboardEvent) => void>): void {
  const current = useRef(bindings)
  current.current = bindings
  useEffect(() => {
    const listen = (event: KeyboardEvent) => {
      if (event.ctrlKey || event.metaKey || event.altKey || event.defaultPrevented) return
      const target = event.target as HTMLElement
      if (target.closest(BUSY)) return
      if (event.key === " " && target.closest("button, a")) return
      if (recall("rhexon.keys") === "off") return
      const name = `${event.shiftKey && event.key.length > 1 ? "Shift+" : ""}${event.key.length === 1 ? event.key.toLowerCase() : event.key}`
      const action =
        current.current[event.shiftKey && event.key.length === 1 && event.key !== "?" ? `Shift+${name}` : name]
      if (!action) return
      event.preventDefault()
      action(event)
    }
    window.addEventListener("keydown", listen)
    return () => window.removeEventListener("keydown", listen)
  }, [])
}
