// @vitest-environment jsdom
import { cleanup, fireEvent, render, screen } from "@testing-library/react"
import { afterEach, describe, expect, test, vi } from "vitest"
import { Findings } from "@/schedule/Findings"
import type { Finding, Operation, Row, Sheet } from "@/types"
import { NOW } from "./support/bench"

vi.mock("@inertiajs/react", () => ({
  Link: ({ href, children }: { href: string; children: string }) => <a href={href}>{children}</a>,
}))

afterEach(() => {
  cleanup()
  vi.useRealTimers()
})

const thicker: Operation = { op: "change_step", id: "s1", set: { coats: 3 } }
const cooler: Operation = { op: "remove_step", id: "s2" }
const finding = (more: Partial<Finding> = {}): Finding => ({
  id: "film.too_thin",
  level: "caution",
  title: "Thin for its use",
  sentence: "38 ± 4 µm on top when done, 60 µm is the least for a bar top.",
  step: "s1",
  pass: "p1/s1/2/top",
  remedies: [],
  ...more,
})

function show(findings: Finding[], ready: Record<string, number | null> = {}) {
  const calls: string[] = []
  // What the list reads of a sheet; a whole one is the server's work.
  const sheet = { findings, rows: [{} as Row], zone: "Etc/UTC", ready_at: NOW } as unknown as Sheet
  render(
    <Findings
      sheet={sheet}
      piece={4}
      ready={ready}
      onApply={(operation, reason) => calls.push(`apply ${operation.op} because ${reason}`)}
      onAsk={(operation, shown = true) => calls.push(`ask ${operation.op}${shown ? "" : " unseen"}`)}
      onDrop={() => calls.push("drop")}
      onSelect={(one) => calls.push(`select ${one.id}`)}
    />,
  )
  return calls
}

describe("findings", () => {
  test("none: it says what was looked at", () => {
    show([])
    expect(screen.getByText("Nothing stands against it")).toBeTruthy()
  })

  test("each says its level in words, a note none, and its title leads to the place", () => {
    const calls = show([
      finding({ level: "stop", title: "Too soon", id: "bond.too_soon" }),
      finding(),
      finding({ level: "note", title: "Made by an estimate", id: "mix.estimate" }),
    ])
    const titles = screen.getAllByRole("heading").map((heading) => heading.textContent)
    expect(titles).toEqual(["Stop: too soon", "Caution: thin for its use", "Made by an estimate"])
    fireEvent.click(screen.getByText("Caution: thin for its use"))
    expect(calls).toEqual(["select film.too_thin"])
  })

  test("a remedy is previewed when pointed at, let go when left, and applied with its own words as the reason", () => {
    const calls = show([finding({ remedies: [{ label: "One more coat", operation: thicker, place: null }] })])
    const remedy = screen.getByText("One more coat")
    fireEvent.pointerEnter(remedy)
    fireEvent.pointerLeave(remedy)
    fireEvent.click(remedy)
    expect(calls).toEqual(["ask change_step", "drop", "apply change_step because One more coat"])
  })

  test("the first remedy of all is asked for unseen after a moment, so that its date stands there", () => {
    vi.useFakeTimers()
    const remedies = [
      { label: "One more coat", operation: thicker, place: null },
      { label: "Leave it out", operation: cooler, place: null },
    ]
    const calls = show([finding({ remedies })], {
      [JSON.stringify(thicker)]: NOW + 1440,
      [JSON.stringify(cooler)]: null,
    })
    expect(calls).toEqual([])
    vi.advanceTimersByTime(600)
    expect(calls).toEqual(["ask change_step unseen"])
    expect(screen.getByText(/One more coat/).textContent).toContain("ready Tue 24 Nov 09:00")
    expect(screen.getByText(/Leave it out/).textContent).toContain("never ready")
    expect(screen.getByText(/Leave it out/).className).toContain("button")
  })

  test("what another page mends is a link to that place, with the product or the piece", () => {
    show([
      finding({
        remedies: [
          { label: "Order it", operation: null, place: { name: "shopping", product: "w20" } },
          { label: "Try it on a board", operation: null, place: { name: "trial", product: null } },
        ],
      }),
    ])
    expect(screen.getByText("Order it").getAttribute("href")).toBe("/shelf?view=shopping&product=w20")
    expect(screen.getByText("Try it on a board").getAttribute("href")).toBe("/trials/new?piece=4")
  })
})
