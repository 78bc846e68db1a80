// @vitest-environment jsdom
import { cleanup, fireEvent, render, screen } from "@testing-library/react"
import { afterEach, beforeEach, expect, test, vi } from "vitest"
import { drawing, PageBoundary } from "@/components/Broken"
import { numberOf } from "@/lib/faults"
import { Strands } from "@/record/Strands"

vi.mock("@inertiajs/react", () => ({
  Link: ({ href, children }: { href: string; children: string }) => <a href={href}>{children}</a>,
  usePage: () => ({ url: "/record", props: {} }),
}))

const sent: unknown[] = []

beforeEach(() => {
  sent.length = 0
  vi.spyOn(console, "error").mockImplementation(() => {})
  vi.stubGlobal(
    "fetch",
    vi.fn(async (url: string, { body }: { body: string }) => {
      sent.push([url, JSON.parse(body)])
      return new Response(null, { status: 204 })
    }),
  )
})

afterEach(() => {
  cleanup()
  vi.restoreAllMocks()
  vi.unstubAllGlobals()
})

const piece = { id: 1, name: "Desk top", client: "Quay library" }

test("a record without anything on the clock has no lines, and one with has", () => {
  const { container, rerender } = render(<Strands strands={[]} zone="Etc/UTC" now={29_000_000} />)
  expect(container.querySelector("svg")).toBeNull()
  rerender(<Strands strands={[{ piece, bars: [], marks: [] }]} zone="Etc/UTC" now={29_000_000} />)
  expect(container.querySelector("svg")).toBeNull()
  rerender(
    <Strands strands={[{ piece, bars: [[28_999_000, 28_999_030]], marks: [] }]} zone="Etc/UTC" now={29_000_000} />,
  )
  expect(container.querySelectorAll(".record-strands rect[fill='var(--ink)']").length).toBeGreaterThan(0)
})

function failing(fault: { on: boolean }) {
  return function Failing() {
    if (fault.on) throw new Error("no such thing")
    return <p>drawn</p>
  }
}

test("a drawing that fails says so in its place, goes into the log, and is drawn again", () => {
  const fault = { on: true }
  const Film = drawing("The film", failing(fault))
  render(
    <section>
      <Film />
      <p>beside it</p>
    </section>,
  )
  screen.getByText("beside it")
  const words = screen.getByRole("alert").textContent ?? ""
  expect(words).toMatch(/^The film cannot be drawn\. Error [A-Z0-9]{6} is in the log/)
  const number = /Error (\w{6})/.exec(words)?.[1]
  expect(sent).toMatchObject([["/page_faults", { number, message: "The film: no such thing" }]])
  fault.on = false
  fireEvent.click(screen.getByRole("button"))
  screen.getByText("drawn")
})

test("a page that fails has a number and a way back to the bench", () => {
  const Page = failing({ on: true })
  render(
    <PageBoundary>
      <Page />
    </PageBoundary>,
  )
  screen.getByText("This page cannot be shown")
  expect(screen.getByRole("link").getAttribute("href")).toBe("/bench")
})

test("the same fault keeps its number, another has another", () => {
  const one = new Error("a")
  expect(numberOf(one)).toBe(numberOf(one))
  expect(numberOf(one)).not.toBe(numberOf(new Error("a")))
  expect(numberOf(one)).toMatch(/^[ACDEFHJKLMNPRTUVWXY34679]{6}$/)
})
