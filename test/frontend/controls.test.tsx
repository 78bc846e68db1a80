// @vitest-environment jsdom
import { cleanup, fireEvent, render, screen } from "@testing-library/react"
import { afterEach, describe, expect, test, vi } from "vitest"
import { CombControl } from "@/schedule/detail/CombControl"
import { WhenControl } from "@/schedule/detail/WhenControl"
import type { Row, Sheet } from "@/types"
import { NOW } from "./support/bench"

afterEach(cleanup)

describe("the comb", () => {
  const comb = (value: number, disabled = false) => {
    const set: number[] = []
    render(<CombControl value={value} onChange={(um) => set.push(um)} pending={false} disabled={disabled} />)
    return { set, teeth: screen.getAllByRole("radio") }
  }

  test("shows the teeth about the film: tens, and fives for a thin one", () => {
    expect(comb(100).teeth.map((tooth) => tooth.textContent)).toEqual(["70", "80", "90", "100", "110", "120", "130"])
    cleanup()
    expect(comb(25).teeth.map((tooth) => tooth.textContent)).toEqual(["10", "15", "20", "25", "30", "35", "40"])
    cleanup()
    expect(comb(5).teeth[0]?.textContent).toBe("5")
  })

  test("is set by a touch, by a tooth with left and right, by 5 µm with up and down", () => {
    const { set, teeth } = comb(100)
    fireEvent.click(teeth[1] as HTMLElement)
    for (const key of ["ArrowRight", "ArrowLeft", "ArrowUp", "ArrowDown"])
      fireEvent.keyDown(teeth[3] as HTMLElement, { key })
    expect(set).toEqual([80, 110, 90, 105, 95])
  })

  test("stays between 5 and 500 µm, and still where it may not be changed", () => {
    const low = comb(5)
    fireEvent.keyDown(low.teeth[0] as HTMLElement, { key: "ArrowDown" })
    cleanup()
    const high = comb(500)
    fireEvent.keyDown(high.teeth[3] as HTMLElement, { key: "ArrowRight" })
    cleanup()
    const frozen = comb(100, true)
    fireEvent.keyDown(frozen.teeth[3] as HTMLElement, { key: "ArrowRight" })
    expect([low.set, high.set, frozen.set]).toEqual([[5], [500], []])
  })

  test("one tooth takes the tab, the nearest", () => {
    expect(comb(97).teeth.filter((tooth) => tooth.tabIndex === 0)).toHaveLength(1)
  })
})

describe("when a step starts", () => {
  const sheet = { zone: "Etc/UTC", now: NOW } as Sheet
  const row = (more: Partial<Row> = {}) =>
    ({
      status: "planned",
      kind: "coat",
      person: "Imke",
      because: "milestone",
      earliest: NOW,
      latest: NOW + 1440,
      setup_min: 10,
      hands_start: NOW + 30,
      work_start: NOW + 40,
      work_end: NOW + 60,
      pinned: false,
      ...more,
    }) as Row
  const show = (shown: Row, error?: string) => {
    const moved = vi.fn()
    const unpinned = vi.fn()
    render(<WhenControl row={shown} sheet={sheet} error={() => error} onMove={moved} onUnpin={unpinned} />)
    return { moved, unpinned }
  }

  test("says who, why then, and how far it may move, by the minute its work starts", () => {
    show(row())
    expect(screen.getByRole("group").textContent).toContain(
      "Imke starts as soon as it is dry; may move 09:10 to Tue 09:10",
    )
    expect(screen.getByRole("status").textContent).toBe("Mon 23 Nov 09:40")
    cleanup()
    show(row({ earliest: NOW, latest: NOW }))
    expect(screen.getByRole("group").textContent).not.toContain("may move")
  })

  test("goes by five minutes of its hands, and is let go only where a hand has set it", () => {
    const { moved } = show(row())
    fireEvent.click(screen.getByLabelText("5 minutes earlier"))
    fireEvent.click(screen.getByLabelText("5 minutes later"))
    expect(moved.mock.calls.map(([, start]) => start - NOW)).toEqual([25, 35])
    expect(screen.queryByText("let go")).toBeNull()
    cleanup()
    const { unpinned } = show(row({ pinned: true }))
    fireEvent.click(screen.getByText("let go"))
    expect(unpinned).toHaveBeenCalledOnce()
  })

  test("what is done or in hand is not moved; a refusal stands with it", () => {
    show(row({ status: "done" }))
    expect(screen.getByText("Done Mon 23 Nov 10:00.")).toBeTruthy()
    cleanup()
    show(row(), "It cannot start then: the shop is shut")
    expect(screen.getByRole("alert").textContent).toBe("It cannot start then: the shop is shut")
  })
})
