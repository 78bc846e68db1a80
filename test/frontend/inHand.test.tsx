// @vitest-environment jsdom
import { cleanup, fireEvent, screen } from "@testing-library/react"
import type { ComponentProps } from "react"
import { afterEach, describe, expect, test, vi } from "vitest"
import { InHand } from "@/bench/InHand"
import type { Touch } from "@/bench/touch"
import { NOW, piece, row } from "./support/bench"
import { renderPage } from "./support/client"

vi.mock("@inertiajs/react", () => ({
  Link: ({ href, children }: { href: string; children: string }) => <a href={href}>{children}</a>,
}))
vi.mock("@/photo/PhotoButton", () => ({ PhotoButton: () => null }))

afterEach(cleanup)

function show(more: Partial<ComponentProps<typeof InHand>> = {}): Touch[] {
  const touches: Touch[] = []
  renderPage(
    <InHand
      people={["Imke"]}
      running={[]}
      next={row()}
      pieces={[piece()]}
      mixed={{}}
      read={{}}
      against={{}}
      now={NOW}
      zone="Etc/UTC"
      onTouch={(touch) => touches.push(touch)}
      last={null}
      whose={null}
      tools={null}
      large={false}
      chosen={null}
      onLeave={() => {}}
      {...more}
    />,
  )
  return touches
}

describe("what hands should take up", () => {
  test("an empty bench says how work gets there, and still takes a touch back", () => {
    const touches = show({
      next: undefined,
      last: { takesBack: { corrects: 7 }, words: "coat 1 of 2 done", piece: "Desk top" },
    })
    expect(screen.getByText("Nothing to do at the bench")).toBeTruthy()
    fireEvent.click(screen.getByText(/Take back: coat 1 of 2 done/))
    expect(touches).toEqual([{ kind: "correction", corrects: 7 }])
  })

  test("a bench of one's own says that others have work", () => {
    show({ next: undefined, whose: "Noor" })
    expect(screen.getByText(/No work is planned for Noor/)).toBeTruthy()
  })

  test("one button starts it, in the name of who is planned", () => {
    const touches = show()
    expect(screen.getByText(/Skerrow W20 clear satin, 100 µm wet, sprayed, 429 ml/)).toBeTruthy()
    fireEvent.click(screen.getByText("Start"))
    expect(touches).toEqual([{ kind: "started", pass: "p1/s1/1/top", person: "Imke" }])
  })

  test("a start at the first stroke has the set-up behind it; where nothing is set up there is one start", () => {
    const touches = show()
    fireEvent.click(screen.getByText("All set up: first stroke"))
    expect(touches).toEqual([{ kind: "started", from: "stroke", pass: "p1/s1/1/top", person: "Imke" }])
    cleanup()
    show({ next: row({ work_start: NOW }) })
    expect(screen.queryByText("All set up: first stroke")).toBeNull()
  })

  test("what can hurt is read first, once for the job and the person, and stays to be looked up", () => {
    const care = [{ id: "isocyanate", name: "isocyanates", text: "Supplied air where it is sprayed." }]
    const touches = show({ next: row({ cautions: care }) })
    expect(screen.queryByText("Start")).toBeNull()
    expect(screen.getByText("Supplied air where it is sprayed.")).toBeTruthy()
    fireEvent.click(screen.getByText("I have read it"))
    expect(touches).toEqual([{ kind: "acknowledged", pass: "p1/s1/1/top", person: "Imke", cautions: ["isocyanate"] }])
    cleanup()
    show({ next: row({ cautions: care }), read: { p1: { Imke: ["isocyanate"] } } })
    expect(screen.getByText("Start")).toBeTruthy()
    expect(screen.getByText("Take care: isocyanates")).toBeTruthy()
    cleanup()
    show({ next: row({ cautions: care }), read: { p1: { Wren: ["isocyanate"] } } })
    expect(screen.queryByText("Start")).toBeNull()
  })

  test("what stands against it is told before the touch", () => {
    const said = { level: "stop", title: "Too soon", sentence: "The film below is still soft." } as const
    show({ against: { "p1/s1/1/top": [said] } })
    expect(screen.getByText(/The film below is still soft/)).toBeTruthy()
    cleanup()
    show({ against: { "p1/s1/1/top": [said] }, running: [row({ status: "running" })] })
    expect(screen.queryByText(/still soft/)).toBeNull()
  })

  test("what is running is ended, not begun", () => {
    const touches = show({ running: [row({ status: "running" })] })
    expect(screen.getByRole("heading", { level: 2 }).textContent).toMatch(/^In hand: coat 1 of 2/)
    fireEvent.click(screen.getByText("Done"))
    expect(touches[0]).toMatchObject({ kind: "done", pass: "p1/s1/1/top" })
  })

  test("a look that may send its steps round again is answered, not begun", () => {
    const look = row({ kind: "look", words: "Look: pores closed?", round: 1, laid_on_ml: null })
    const touches = show({ next: look })
    expect(screen.queryByText("Start")).toBeNull()
    fireEvent.click(screen.getByText("Yes, it is right"))
    fireEvent.click(screen.getByText("Once more"))
    fireEvent.click(screen.getByText("Not yet"))
    expect(touches.map(({ kind, answer }) => [kind, answer])).toEqual([
      ["done", "yes"],
      ["done", "again"],
      ["dry_test", "not_yet"],
    ])
    expect(screen.getByText("2 times again then")).toBeTruthy()
  })

  test("moisture is read place by place and sent with the work that is done", () => {
    const touches = show({
      next: row({
        kind: "measure",
        words: "Measure the moisture",
        reads: { words: "moisture", unit: "%", least: 0, most: 100, count: 100 },
      }),
    })
    const read = screen.getByRole("button", { name: /^Read/ }) as HTMLButtonElement
    expect(read.disabled).toBe(true)
    const field = screen.getByLabelText(/Moisture, %/)
    fireEvent.change(field, { target: { value: "9,1 8.8 x" } })
    expect(screen.getByRole("alert").textContent).toMatch(/from 0 to 100/)
    fireEvent.change(field, { target: { value: "9,1 8.8 9.4" } })
    expect(read.textContent).toBe("Read: 9.1 %")
    fireEvent.click(read)
    expect(touches).toEqual([{ kind: "done", pass: "p1/s1/1/top", readings: [9.1, 8.8, 9.4] }])
  })

  test("a pin meter's correction goes along with the readings", () => {
    const reads = { words: "moisture", unit: "%", least: 0, most: 100, count: 100 }
    const touches = show({ next: row({ kind: "measure", words: "Measure the moisture", reads }) })
    fireEvent.change(screen.getByLabelText(/Moisture, %/), { target: { value: "12" } })
    fireEvent.change(screen.getByLabelText(/wood at, °C/), { target: { value: "5" } })
    fireEvent.change(screen.getByLabelText(/Points for this wood/), { target: { value: "−0,5" } })
    fireEvent.click(screen.getByRole("button", { name: /^Read/ }))
    expect(touches).toEqual([{ kind: "done", pass: "p1/s1/1/top", readings: [12], t_c: 5, points: -0.5 }])
  })

  test("what a test of an old finish showed is one touch", () => {
    const answers: [string, string][] = [
      ["shellac", "spirit softens it"],
      ["cross_linked", "nothing softens it"],
    ]
    const touches = show({ next: row({ kind: "measure", words: "Measure what softens it", answers }) })
    fireEvent.click(screen.getByRole("button", { name: "Spirit softens it" }))
    expect(touches).toEqual([{ kind: "done", pass: "p1/s1/1/top", answer: "shellac" }])
  })

  test("drops are told before the coat and counted with it, or left open", () => {
    const drops = { expected: 14, used: [24, 18], trend: "filling" }
    const touches = show({ running: [row({ kind: "oil", drops })] })
    expect(screen.getByText(/about 14 drops to one piece; 24, 18 drops before, falling/)).toBeTruthy()
    fireEvent.change(screen.getByLabelText(/Drops that one piece took/), { target: { value: "15" } })
    fireEvent.click(screen.getByRole("button", { name: "Done" }))
    expect(touches).toEqual([{ kind: "done", pass: "p1/s1/1/top", drops: 15 }])
  })
})
