// @vitest-environment jsdom
import { cleanup, fireEvent, screen } from "@testing-library/react"
import { afterEach, beforeEach, describe, expect, test, vi } from "vitest"
import { Slab } from "@/bench/Slab"
import type { Touch } from "@/bench/touch"
import type { Slab as SlabData } from "@/types"
import { NOW, piece, row, slab } from "./support/bench"
import { renderPage } from "./support/client"

// The grain is painted by a canvas, which this page does not have.
vi.mock("@/drawing/woodBitmap", () => ({ woodBitmap: () => "data:," }))

let touches: Touch[]
beforeEach(() => {
  touches = []
})
afterEach(cleanup)

const show = (data: SlabData, canStart = true) =>
  renderPage(
    <Slab
      slab={data}
      piece={piece()}
      now={NOW}
      zone="Etc/UTC"
      canStart={canStart}
      read={{}}
      against={[]}
      hand="Imke"
      call={undefined}
      onTouch={(touch) => touches.push(touch)}
    />,
  )

describe("a piece that dries", () => {
  test("says when hands may go on, and how thick it lies", () => {
    show(slab())
    expect(screen.getByRole("article").getAttribute("aria-label")).toBe("Desk top: opens in 10 min")
    expect(screen.getByText("19 µm on")).toBeTruthy()
    expect(screen.getByText("Hands off until 09:10")).toBeTruthy()
    expect(screen.queryByText(/^Start/)).toBeNull()
  })

  test("asks for the test that decides, and passes the answer on with its milestone", () => {
    show(slab({ milestone: "sand" }))
    expect(screen.getByText("Does it powder under the paper?")).toBeTruthy()
    fireEvent.click(screen.getByText("Not yet"))
    fireEvent.click(screen.getByText("Dry"))
    expect(touches).toEqual([
      { kind: "dry_test", pass: "p1/s1/1/top", milestone: "sand", answer: "not_yet" },
      { kind: "dry_test", pass: "p1/s1/1/top", milestone: "sand", answer: "dry" },
    ])
  })

  test.each([
    ["six hours before it opens and more: no test yet", slab({ opens_at: NOW + 360 })],
    ["nothing waits for it", slab({ next_row: null })],
    ["it opened", slab({ opens_at: null })],
  ])("asks for no test: %s", (_, data) => {
    show(data)
    expect(screen.queryByText("Not yet")).toBeNull()
  })

  test("what can hurt in the next work is read before it starts", () => {
    const care = [{ id: "dust", name: "dust", text: "Extraction and a mask." }]
    show(slab({ state: "open", next_row: row({ key: "p1/s1/2/top", words: "Coat 2 of 2", cautions: care }) }))
    fireEvent.click(screen.getByText(/^Start/))
    expect(touches).toEqual([])
    expect(screen.getByText("Extraction and a mask.")).toBeTruthy()
    fireEvent.click(screen.getByText("I have read it: start"))
    expect(touches).toEqual([
      { kind: "acknowledged", pass: "p1/s1/2/top", person: "Imke", cautions: ["dust"] },
      { kind: "started", pass: "p1/s1/2/top", person: "Imke" },
    ])
  })

  test("open, it offers the next work by its name and counts down to the closing", () => {
    show(slab({ state: "open", opens_at: null, closes_at: NOW + 90 }))
    expect(screen.getByText("closes in 1 h 30")).toBeTruthy()
    fireEvent.click(screen.getByText("Start coat 2 of 2"))
    expect(touches).toEqual([{ kind: "started", pass: "p1/s1/2/top" }])
  })

  test("a look is begun as a look; nothing is begun while other work is in hand", () => {
    show(slab({ state: "open", opens_at: null, next_row: row({ key: "p1/s2/1/top", kind: "look" }) }), false)
    expect((screen.getByText("Start the look") as HTMLButtonElement).disabled).toBe(true)
  })

  test.each([
    [slab({ state: "shut", opens_at: null, closes_at: NOW - 30 }), "shut since 08:30"],
    [slab({ state: "scuffed", opens_at: null, closes_at: NOW + 1440 }), "open to Tue 09:00"],
    [slab({ state: "open", opens_at: null, next_row: null }), "dry"],
    [slab({ state: "too_soon", opens_at: null }), "drying"],
  ])("says its state in words", (data, words) => {
    show(data)
    expect(screen.getByRole("article").querySelector(".slab-state")?.textContent).toBe(words)
  })
})
