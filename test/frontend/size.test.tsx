// @vitest-environment jsdom
import { act, cleanup, render, screen } from "@testing-library/react"
import { useRef } from "react"
import { afterEach, beforeEach, describe, expect, test, vi } from "vitest"
import { useViewport, useWidth } from "@/lib/size"

// A page without layout: the observer is told what the layout would have said.
let tell: (width: number) => void
let watched: Element[]
beforeEach(() => {
  watched = []
  vi.stubGlobal(
    "ResizeObserver",
    class {
      constructor(told: (entries: { contentRect: { width: number } }[]) => void) {
        tell = (width) => told([{ contentRect: { width } }])
      }
      observe(element: Element) {
        watched.push(element)
      }
      disconnect() {
        watched = []
      }
    },
  )
})
afterEach(() => {
  cleanup()
  vi.unstubAllGlobals()
})

function Wide({ empty = false }: { empty?: boolean }) {
  const ref = useRef<HTMLDivElement>(null)
  const width = useWidth(ref, 640)
  return empty ? <p>{width} wide</p> : <div ref={ref}>{width} wide</div>
}
function Window() {
  const { width, height } = useViewport()
  return (
    <p>
      {width} by {height}
    </p>
  )
}

describe("sizes that are kept up with", () => {
  test("the width of an element, in whole pixels, until it is gone", () => {
    const { unmount } = render(<Wide />)
    act(() => tell(812.6))
    expect(screen.getByText("813 wide")).toBeTruthy()
    unmount()
    expect(watched).toEqual([])
  })

  test("an element that is not there has the width it began with", () => {
    render(<Wide empty />)
    expect(screen.getByText("640 wide")).toBeTruthy()
    expect(watched).toEqual([])
  })

  test("the window as it is turned", () => {
    render(<Window />)
    act(() => {
      window.innerWidth = 820
      window.innerHeight = 1180
      window.dispatchEvent(new Event("resize"))
    })
    expect(screen.getByText("820 by 1180")).toBeTruthy()
  })
})
