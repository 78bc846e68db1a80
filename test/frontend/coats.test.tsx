// @vitest-environment jsdom
import { cleanup, fireEvent, screen } from "@testing-library/react"
import { afterEach, describe, expect, test, vi } from "vitest"
import { forCoats } from "@/schedule/coats"
import { TryBar } from "@/schedule/TryBar"
import type { Sheet, Step } from "@/types"
import { NOW } from "./support/bench"
import { renderPage } from "./support/client"

afterEach(cleanup)

const step = { id: "s3", kind: "coat", coats: 3 } as Step
const steps = [{ id: "s1" }, step] as Step[]
const set = { wet_um: 80 }

describe("a change of some coats of a step", () => {
  test.each([
    ["the first alone", 1, "this", [["s3", 1, "s4"]], "s3"],
    [
      "one in the middle",
      2,
      "this",
      [
        ["s3", 1, "s4"],
        ["s4", 1, "s5"],
      ],
      "s4",
    ],
    ["the last alone", 3, "this", [["s3", 2, "s4"]], "s4"],
    ["the second and later", 2, "later", [["s3", 1, "s4"]], "s4"],
    ["all of them by the first", 1, "later", [], "s3"],
  ] as const)("%s", (_, coat, coats, splits, id) => {
    const made = forCoats(step, coat, coats, set, steps)
    expect(made).toEqual({
      id,
      operation: {
        op: "all",
        operations: [
          ...splits.map(([from, keep, new_id]) => ({ op: "split_coats", id: from, keep, new_id })),
          { op: "change_step", id, set },
        ],
      },
    })
  })
})

describe("before it is kept", () => {
  const sheet = (ready_at: number | null, hands_min: number) => ({ zone: "Etc/UTC", ready_at, hands_min }) as Sheet
  const show = (then: Sheet | null) => {
    const ways = { onKeep: vi.fn(), onLeave: vi.fn() }
    renderPage(<TryBar sheet={sheet(NOW, 90)} then={then} words="Coat 2 only" {...ways} />)
    return ways
  }
  const told = () => screen.getAllByRole("definition").map((one) => one.textContent)

  test("date and hands are told before and after", () => {
    const { onKeep, onLeave } = show(sheet(NOW + 60, 90))
    expect(told()).toEqual(["Mon 23 Nov 10:00, was Mon 23 Nov 09:00", "1 h 30, no change"])
    fireEvent.click(screen.getByText("Save change"))
    fireEvent.click(screen.getByText("Cancel"))
    expect([onKeep, onLeave].map((way) => way.mock.calls.length)).toEqual([1, 1])
  })

  test("while it is computed, and where it has no date", () => {
    show(null)
    expect(told()).toEqual(["Mon 23 Nov 09:00, calculating", "1 h 30, calculating"])
    cleanup()
    show(sheet(null, 95))
    expect(told()[0]).toBe("no date, was Mon 23 Nov 09:00")
  })
})
