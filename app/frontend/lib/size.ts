import { type RefObject, useLayoutEffect, useState } from "react"

/** Width of an element, kept up with. */
export function useWidth(ref: RefObject<HTMLElement | null>, first: number): number {
  const [width, setWidth] = useState(first)
  useLayoutEffect(() => {
    const element = ref.current
    if (!element) return
    const observer = new ResizeObserver(([entry]) => entry && setWidth(Math.round(entry.contentRect.width)))
    observer.observe(element)
    setWidth(Math.round(element.clientWidth))
    return () => observer.disconnect()
  }, [ref])
  return width
}

/** Width and height of the window, kept up with. */
export function useViewport(): { width: number; height: number } {
  const [size, setSize] = useState(viewport)
  useLayoutEffect(() => {
    const listen = () => setSize(viewport())
    window.addEventListener("resize", listen)
    return () => window.removeEventListener("resize", listen)
  }, [])
  return size
}

const viewport = () => ({ width: window.innerWidth, height: window.innerHeight })
