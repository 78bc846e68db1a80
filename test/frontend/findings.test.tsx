// @vitest-environment jsdom
import { QueryClientProvider } from "@tanstack/react-query"
import { cleanup, fireEvent, render, screen } from "@testing-library/react"
import { afterEach, describe, expect, test, vi } from "vitest"
import { requestClient } from "@/lib/requests"
import { Findings } from "@/schedule/Findings"
import type { Finding, Operation, Row, Sheet } from "@/types"
import { NOW } from "./support/bench"

const me = vi.hoisted(() => ({ role: "finisher" }))
vi.mock("@inertiajs/react", () => ({
  usePage: () => ({ props: { me } }),
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
  also: [],
  remedies: [],
  ruled_out: [],
  ruling: null,
  open: true,
  behind: false,
  untried: 0,
  ...more,
})

function show(findings: Finding[], ready: Record<string, number | null> = {}, silenced: Finding[] = []) {
  const calls: string[] = []
  // What the list reads of a sheet; a whole one is the server's work.
  const sheet = { findings, silenced, rows: [{} as Row], zone: "Etc/UTC", ready_at: NOW } as unknown as Sheet
  render(
    <QueryClientProvider client={requestClient()}>
      <Findings
        sheet={sheet}
        piece={4}
        ready={ready}
        onApply={(operation, reason) => calls.push(`apply ${operation.op} because ${reason}`)}
        onAsk={(operation, shown = true) => calls.push(`ask ${operation.op}${shown ? "" : " unseen"}`)}
        onDrop={() => calls.push("drop")}
        onSelect={(one) => calls.push(`select ${one.id}`)}
        onEdit={(operation) => calls.push(JSON.stringify(operation))}
        onShop={() => calls.push("shop")}
        unknown={false}
        onAll={() => calls.push("all")}
      />
    </QueryClientProvider>,
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
      finding({ also: [1, 2].map((coat) => ({ pass: `p1/s4/${coat}/top`, sentence: finding().sentence })) }),
      finding({
        level: "note",
        title: "Made by an estimate",
        id: "mix.estimate",
        also: [{ pass: null, sentence: "0.8 g of Umber." }],
      }),
    ])
    fireEvent.click(screen.getByText("One more"))
    expect(screen.getByText("0.8 g of Umber.")).toBeTruthy()
    expect(screen.getAllByText(/Same for/).map((told) => told.textContent)).toEqual([
      "Same for 2 more steps, marked in the list.",
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

  test("what one would think of says why it does not work", () => {
    show([finding({ ruled_out: [{ label: "Heavier coats", why_not: "120 µm wet runs where 85 µm is usual" }] })])
    expect(screen.getByText(/120 µm wet runs/).textContent).toBe("Heavier coats: 120 µm wet runs where 85 µm is usual.")
  })

  test("it is judged otherwise with a reason, and not without", () => {
    const calls = show([finding()])
    fireEvent.click(screen.getByText("Judge otherwise"))
    const judge = screen.getByText("Judge it so") as HTMLButtonElement
    expect(judge.disabled).toBe(true)
    fireEvent.change(screen.getByLabelText("Because"), { target: { value: "a show piece, never used" } })
    fireEvent.click(judge)
    const said = { op: "judge", check: "film.too_thin", as: "note", reason: "a show piece, never used" }
    expect(JSON.parse(calls[0] ?? "")).toEqual(said)
  })

  test("what is judged otherwise says so, and what is not told can be told again", () => {
    const ruling = { was: "caution", as: "silent", reason: "never used", by: "schedule" } as const
    const calls = show([finding({ ruling: { ...ruling, as: "note" }, level: "note" })], {}, [
      finding({ id: "film.foggy", title: "Foggy build", ruling }),
    ])
    expect(screen.getByText(/^Judged/).textContent).toBe("Judged a note here, usually a caution: never used")
    fireEvent.click(screen.getByText("Foggy build (never used)"))
    fireEvent.click(screen.getByText("As usual again"))
    expect(JSON.parse(calls[0] ?? "")).toEqual({ op: "judge", check: "film.foggy", as: null })
  })

  test("what can hurt someone is not judged otherwise", () => {
    show([finding({ open: false })])
    expect(screen.queryByText("Judge otherwise")).toBeNull()
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

  test("what has to be planned is said to be on its way, and what was left out can be asked for", () => {
    const late = finding({ id: "time.due", title: "Late", sentence: "Ready on Friday.", behind: true })
    show([late])
    expect(screen.getByRole("status").textContent).toBe("Planning what would help")
    cleanup()
    const calls = show([{ ...late, behind: false, untried: 2 }])
    expect(screen.queryByRole("status")).toBeNull()
    fireEvent.click(screen.getByText("Try 2 more ways"))
    expect(calls).toEqual(["all"])
  })

  test("a student is not sent where students do not come in", () => {
    const short = finding({
      remedies: ["shopping", "colour"].map((name) => ({
        label: name,
        operation: null,
        place: { name, product: "w20" },
      })),
    })
    show([short])
    expect(screen.getAllByRole("link").map((link) => link.textContent)).toEqual(["shopping", "colour"])
    cleanup()
    me.role = "student"
    show([short])
    me.role = "finisher"
    expect(screen.getAllByRole("link").map((link) => link.textContent)).toEqual(["colour"])
  })
})
