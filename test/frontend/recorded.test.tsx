// @vitest-environment jsdom
import { cleanup, screen } from "@testing-library/react"
import { afterEach, describe, expect, test, vi } from "vitest"
import { InHand } from "@/bench/InHand"
import { Slab } from "@/bench/Slab"
import type { Touch } from "@/bench/touch"
import { Findings } from "@/schedule/Findings"
import { StepList } from "@/schedule/StepList"
import type { BenchPage, Sheet } from "@/types"
import benchDrying from "./recorded/bench-drying.json"
import benchMarks from "./recorded/bench-marks.json"
import scheduleFine from "./recorded/schedule-fine.json"
import scheduleFrost from "./recorded/schedule-frost.json"
import scheduleThin from "./recorded/schedule-thin.json"
import { renderPage } from "./support/client"

// States of components in what the server really answers: test/requests/recorded_answers_test.rb holds the files.
vi.mock("@/drawing/woodBitmap", () => ({ woodBitmap: () => "data:," }))
vi.mock("@inertiajs/react", () => ({
  usePage: () => ({ props: {} }),
  Link: ({ href, children }: { href: string; children: string }) => <a href={href}>{children}</a>,
}))

type Bench = Pick<BenchPage, "bench" | "pieces" | "read">
const recorded = <T,>(file: unknown) => file as T

afterEach(cleanup)

describe("what dries", () => {
  const { bench, pieces } = recorded<Bench>(benchDrying)
  const show = (name: string) => {
    const piece = pieces.find((one) => one.name === name)
    const slab = bench.drying.find(({ row }) => row.piece === piece?.core_id)
    if (!piece || !slab) throw new Error(`${name} does not dry`)
    const touches: Touch[] = []
    renderPage(
      <Slab
        slab={slab}
        piece={piece}
        now={bench.now}
        zone={bench.zone}
        canStart
        read={{ [piece.id]: { Imke: slab.next_row?.cautions.map(({ id }) => id) ?? [] } }}
        against={[]}
        hand="Imke"
        call={undefined}
        onTouch={(touch) => touches.push(touch)}
      />,
    )
    return { slab, touches, label: screen.getByRole("article").getAttribute("aria-label") }
  }

  test("is closed after its window, and is scuffed before the next coat", () => {
    const { slab, label } = show("Desk top")
    expect(slab.state).toBe("shut")
    expect(label).toMatch(/^Desk top: shut since /)
    expect(screen.getByText(/^Start scuff P320/)).toBeTruthy()
  })

  test("is not open yet, and offers no coat", () => {
    const { slab, label } = show("Stool")
    expect(label).toMatch(/^Stool: opens in \d+ min|^Stool: opens in 1 h/)
    expect(slab.opens_at).toBeGreaterThan(bench.now)
    expect(screen.queryByText(/^Start coat/)).toBeNull()
  })
})

test("how a coat is laid on stands on its card", () => {
  const { bench, pieces, read } = recorded<Bench>(benchMarks)
  renderPage(
    <InHand
      people={bench.people}
      running={[]}
      next={bench.upcoming[0]}
      pieces={pieces}
      mixed={{}}
      read={read}
      against={{}}
      now={bench.now}
      zone={bench.zone}
      onTouch={() => {}}
      last={null}
      whose={null}
      tools={null}
      large={false}
      chosen={null}
      onLeave={() => {}}
    />,
  )
  expect(screen.getByText(/start at mark 1/)).toBeTruthy()
})

describe("what is found", () => {
  const show = (file: unknown) => {
    const { sheet } = recorded<{ sheet: Sheet }>(file)
    const nothing = () => {}
    renderPage(
      <Findings
        sheet={sheet}
        piece={1}
        ready={{}}
        onApply={nothing}
        onAsk={nothing}
        onDrop={nothing}
        onSelect={nothing}
        onEdit={nothing}
        onShop={nothing}
        onAll={nothing}
        unknown={false}
      />,
    )
    return screen.getAllByRole("heading").map((heading) => heading.textContent)
  }

  test("a stop stands before a caution where no date can be given", () => {
    const titles = show(scheduleFrost)
    expect(titles).toContain("Stop: no date can be given")
    expect(titles.findIndex((title) => title?.startsWith("Caution"))).toBeGreaterThan(
      titles.findIndex((title) => title?.startsWith("Stop")),
    )
  })

  test("a film that is thin for its use offers one more coat", () => {
    expect(show(scheduleThin)).toContain("Caution: thin for its use")
    expect(screen.getByText(/^One more coat/)).toBeTruthy()
  })

  test("a schedule with film enough is not told to be thin", () => {
    expect(show(scheduleFine).join()).not.toMatch(/thin/)
  })
})

test("the film of each step stands in the unit of its heading", () => {
  const { sheet } = recorded<{ sheet: Sheet }>(scheduleFine)
  const film = (unit: string) => {
    localStorage.setItem("rhexon.units.film", unit)
    renderPage(
      <StepList sheet={sheet} shelf={[]} selected={null} pending={new Set()} onSelect={() => {}} onEdit={() => {}} />,
    )
    const last = screen.getAllByRole("option").at(-1)?.querySelector(".step-after")?.textContent
    const heading = screen.getByText(/^after, /).textContent
    cleanup()
    return [heading, Number(last)] as const
  }
  const [um, inUm] = film("metric")
  const [mil, inMil] = film("us")
  localStorage.clear()
  expect([um, mil]).toEqual(["after, µm", "after, mil"])
  expect(inUm / inMil).toBeCloseTo(25.4, -1)
})
