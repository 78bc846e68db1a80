// @vitest-environment jsdom
import { cleanup, screen } from "@testing-library/react"
import { afterEach, describe, expect, test } from "vitest"
import { Told } from "@/bench/Told"
import type { Moved, Noted, Slab } from "@/types"
import { NOW, row, slab } from "./support/bench"
import { renderPage } from "./support/client"

afterEach(cleanup)

const AT = new Date(NOW * 60_000).toISOString().slice(11, 16)
const later = (minutes: number) => new Date((NOW + minutes) * 60_000).toISOString().slice(11, 16)
const move = (piece: string, from: number, to: number): Moved => ({
  key: `${piece}/s2/1/top`,
  piece,
  words: "Coat 1 of 2",
  from: NOW + from,
  to: NOW + to,
  person: null,
})
const noted = (more: Partial<Noted> = {}): Noted => ({
  id: 1,
  at: NOW,
  kind: "done",
  piece: "p1",
  pass_key: "p1/s1/1/top",
  ready: null,
  next: null,
  others: [],
  ...more,
})

const show = (told: Noted | null, moved: Moved[] = [], drying: Slab[] = []) =>
  renderPage(
    <Told
      noted={told}
      moved={moved}
      better={false}
      drying={drying}
      name={(id) => (id === "p2" ? "Lid" : id === "p3" ? "Box" : "Desk")}
      zone="Etc/UTC"
      now={NOW}
    />,
  )
const said = () => screen.getByRole("status").textContent

describe("what a touch came to", () => {
  test("nothing moved", () => {
    show(noted())
    expect(said()).toBe(`Noted ${AT}. Nothing moved.`)
  })

  test("not yet: when to look again, what of the piece moved, and that nothing else did", () => {
    const told = noted({ kind: "dry_test", next: move("p1", 20, 50), ready: [NOW + 100, NOW + 130] })
    show(told, [], [slab({ row: row({ key: "p1/s1/1/top" }), opens_at: NOW + 15 })])
    expect(said()).toBe(
      `Noted ${AT}. Look again ${later(15)}; coat 1 of 2 ${later(50)} instead of ${later(20)}; ` +
        `ready ${later(130)} instead of ${later(100)}; nothing else moved.`,
    )
  })

  test("other pieces that moved are named, two of them and how many more", () => {
    show(noted({ others: [move("p2", 10, 20), move("p3", 30, 40), move("p4", 50, 60), move("p5", 50, 60)] }))
    expect(said()).toBe(
      `Noted ${AT}. Lid, coat 1 of 2 ${later(20)} instead of ${later(10)}; ` +
        `Box, coat 1 of 2 ${later(40)} instead of ${later(30)}; 2 more moved.`,
    )
  })

  test("what moved since the shop last closed is counted and listed, with new hands", () => {
    show(null, [{ ...move("p2", 10, 20), person: "Osei" }])
    expect(said()).toBe("")
    expect(screen.getByText("1 task moved since the shop last closed")).toBeTruthy()
    expect(screen.getByRole("listitem").textContent).toBe(
      `${later(20)} instead of ${later(10)}: coat 1 of 2, Lid, now Osei`,
    )
  })
})
