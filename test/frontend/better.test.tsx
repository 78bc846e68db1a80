// @vitest-environment jsdom
import { cleanup, fireEvent, screen } from "@testing-library/react"
import { afterEach, expect, test, vi } from "vitest"
import { BetterOffer } from "@/plan/BetterOffer"
import type { BetterPlan } from "@/types"
import { NOW } from "./support/bench"
import { renderPage } from "./support/client"

afterEach(cleanup)

const better = (more: Partial<BetterPlan> = {}): BetterPlan => ({
  dates: [],
  ready_min: 0,
  hands_min: 0,
  chance: null,
  moves: [],
  ready: [],
  ...more,
})
const show = (offer: BetterPlan) => {
  const ways = { onTake: vi.fn(), onLeave: vi.fn() }
  const { container } = renderPage(
    <BetterOffer better={offer} plan={{ zone: "Etc/UTC", now: NOW }} name={() => "Window seat"} {...ways} />,
  )
  return { ...ways, container }
}

test("what gets better is listed, and nothing that does not", () => {
  show(better({ dates: ["p1"], ready_min: 95.4, chance: [0.41, 0.72] }))
  expect(screen.getAllByRole("listitem").map((item) => item.textContent)).toEqual([
    "Window seat is ready by its due date",
    "pieces are ready 1 h 35 sooner on average",
    "least certain due date: chance 41 % to 72 %",
  ])
})

test("when pieces are ready is drawn now and then, eight of them and how many more", () => {
  const ready = Array.from({ length: 10 }, (_, at): [string, number, number] => [`p${at}`, NOW + 60 + at, NOW])
  const { container } = show(better({ hands_min: 70, ready }))
  const places = [...container.querySelectorAll<HTMLElement>(".ready-track [data-part=was]")].map(
    (dot) => dot.style.left,
  )
  expect(places).toHaveLength(8)
  expect(Number.parseFloat(places[0] ?? "")).toBeCloseTo((60 / 67) * 100, 3)
  expect(places[7]).toBe("100%")
  expect(screen.getByText(/2 more pieces move less/)).toBeTruthy()
})

test("what gets later is said, too", () => {
  show(better({ hands_min: 70, ready: [["p1", NOW, NOW + 30]] }))
  expect(screen.getByText("1 piece is ready later")).toBeTruthy()
})

test("the tasks that move are listed with both times", () => {
  const move = { key: "p1/s1", piece: "p1", words: "Coat 1", from: NOW + 30, to: NOW, person: null }
  show(better({ ready_min: 40, moves: [move] }))
  expect(screen.getByText("1 task moves")).toBeTruthy()
  expect(screen.getByText(/instead of/).textContent).toMatch(/coat 1, Window seat$/)
})

test("it is taken, or left", () => {
  const { onTake, onLeave } = show(better({ ready_min: 60 }))
  fireEvent.click(screen.getByText("Use this plan"))
  fireEvent.click(screen.getByText("Keep current plan"))
  expect([onTake, onLeave].map((way) => way.mock.calls.length)).toEqual([1, 1])
})
