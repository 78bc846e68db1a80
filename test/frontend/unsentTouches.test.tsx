// @vitest-environment jsdom
import { cleanup, fireEvent, render, screen } from "@testing-library/react"
import { afterEach, describe, expect, test } from "vitest"
import type { Kept } from "@/outbox/kept"
import { UnsentTouches } from "@/outbox/UnsentTouches"
import { NOW } from "./support/bench"

afterEach(cleanup)

const held: Kept = {
  client_id: "a",
  order: 1,
  place: "/bench",
  path: "/entries",
  body: { kind: "done", pass: "p4/s1/1/top", happened_at: "2026-11-23T09:00:00Z" },
  words: "Done, Coat 1 of 2",
}
const show = (unsent: Kept[], waiting: boolean, calls: string[] = [], silentSince: number | null = null) =>
  render(
    <UnsentTouches
      unsent={unsent}
      waiting={waiting}
      trouble=""
      silentSince={silentSince}
      now={NOW}
      zone="Etc/UTC"
      me="Osei"
      onClaim={(id) => calls.push(`claim ${id}`)}
      onAgain={(id) => calls.push(`again ${id}`)}
      onLetGo={(id) => calls.push(`back ${id}`)}
    />,
  )

describe("touches that the server does not have", () => {
  test("on their way, they take no room on the page", () => {
    expect(show([held], false).container.innerHTML).toBe("")
  })

  test("waiting, they are counted", () => {
    show([held], true)
    expect(screen.getByRole("status").textContent).toContain("One touch is kept here, not yet sent.")
    cleanup()
    show([held, { ...held, client_id: "b" }], true)
    expect(screen.getByRole("status").textContent).toContain("2 touches are kept here, not yet sent.")
    expect(screen.getAllByRole("listitem").map(({ textContent }) => textContent)).toEqual(
      Array(2).fill("Done, Coat 1 of 2, 09:00"),
    )
  })

  test("the age of what is shown is told while nobody answers", () => {
    show([], false, [], (NOW - 35) * 60_000)
    expect(screen.getByRole("status").textContent).toContain("What is shown here is of 08:25, 35 min ago.")
  })

  test("refused, each stands with its hour, the sentence and both ways on", () => {
    const calls: string[] = []
    show([{ ...held, refused: "That work is already done" }], true, calls)
    expect(screen.getByRole("alert").textContent).toContain(
      "Done, Coat 1 of 2, 09:00 was not taken: That work is already done",
    )
    expect(screen.queryByRole("status")).toBeNull()
    expect(screen.getByText("See its schedule").getAttribute("href")).toBe("/pieces/4/schedule")
    fireEvent.click(screen.getByText("Send again"))
    fireEvent.click(screen.getByText("Take it back"))
    expect(calls).toEqual(["again a", "back a"])
  })

  test("what somebody else has done waits for them, or goes out in the name of whoever is here", () => {
    const calls: string[] = []
    show([{ ...held, refused: "Imke did this, and Osei is here now.", held: true, whose: "Imke" }], false, calls)
    expect(screen.getByText(/is kept on this device until Imke signs in/)).toBeTruthy()
    expect(screen.queryByText("Take it back")).toBeNull()
    fireEvent.click(screen.getByText("Send as Osei"))
    expect(calls).toEqual(["claim a"])
  })
})
