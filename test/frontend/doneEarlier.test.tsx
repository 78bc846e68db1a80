// @vitest-environment jsdom
import { cleanup, fireEvent, screen } from "@testing-library/react"
import { afterEach, describe, expect, test } from "vitest"
import { DoneEarlier } from "@/bench/DoneEarlier"
import type { Touch } from "@/bench/touch"
import { iso, minuteAt } from "@/lib/time"
import { NOW, row } from "./support/bench"
import { renderPage } from "./support/client"

afterEach(cleanup)

const show = (inHand = false): Touch[] => {
  const touches: Touch[] = []
  renderPage(
    <DoneEarlier
      row={row({ hands_start: NOW - 90 })}
      inHand={inHand}
      person="Imke"
      now={NOW}
      zone="Europe/Berlin"
      onTouch={(touch) => touches.push(touch)}
    />,
  )
  fireEvent.click(screen.getByText("Log past work"))
  return touches
}
const fill = (label: string, value: string) => fireEvent.change(screen.getByLabelText(label), { target: { value } })

describe("work that was done and not noted", () => {
  test("goes into the log with its own times, in the shop's zone", () => {
    const touches = show()
    fill("Day", "2026-11-22")
    fill("Started", "15:30")
    fill("Finished", "16:10")
    fireEvent.click(screen.getByText("Log work"))
    const key = row().key
    // Berlin is an hour ahead of UTC in November.
    expect(touches).toEqual([
      { kind: "started", pass: key, person: "Imke", happened_at: "2026-11-22T14:30Z", shop_time: true },
      { kind: "done", pass: key, person: "Imke", happened_at: "2026-11-22T15:10Z", shop_time: true },
    ])
  })

  test("what is in hand began already and only ends", () => {
    const touches = show(true)
    expect(screen.queryByLabelText("Started")).toBeNull()
    fireEvent.click(screen.getByText("Log work"))
    expect(touches).toEqual([{ kind: "done", pass: row().key, happened_at: iso(NOW), shop_time: true }])
  })

  test.each([
    ["23:59", "23:58", "The end is in the future. Enter a time up to now."],
    ["09:30", "09:10", "The end is before the start."],
    ["", "09:10", "Enter a day and a time, such as 16:10."],
  ])("from %s to %s cannot have been", (began, ended, sentence) => {
    const touches = show()
    fill("Started", began)
    fill("Finished", ended)
    fireEvent.click(screen.getByText("Log work"))
    expect(screen.getByRole("alert").textContent).toBe(sentence)
    expect(touches).toEqual([])
  })
})

test("a day and a time of a zone are an instant, also in the night the clocks change", () => {
  const at = (day: string, clock: string, zone = "Europe/Berlin") => iso(minuteAt(day, clock, zone))
  expect(at("2026-07-01", "08:00")).toBe("2026-07-01T06:00Z")
  expect(at("2026-10-25", "01:30")).toBe("2026-10-24T23:30Z")
  expect(at("2026-10-25", "04:30")).toBe("2026-10-25T03:30Z")
  expect(at("2026-03-29", "03:30")).toBe("2026-03-29T01:30Z")
  expect(Number.isNaN(minuteAt("", "08:00", "Europe/Berlin"))).toBe(true)
})
