// @vitest-environment jsdom
import { cleanup, fireEvent, render, screen } from "@testing-library/react"
import { afterEach, describe, expect, test } from "vitest"
import type { Unsent } from "@/bench/touch"
import { UnsentTouches } from "@/bench/UnsentTouches"
import { NOW } from "./support/bench"

afterEach(cleanup)

const held: Unsent = {
  kind: "done",
  client_id: "a",
  order: 1,
  happened_at: "2026-11-23T09:00:00Z",
  words: "Coat 1 of 2",
}
const show = (unsent: Unsent[], waiting: boolean, calls: string[] = []) =>
  render(
    <UnsentTouches
      unsent={unsent}
      waiting={waiting}
      now={NOW}
      zone="Etc/UTC"
      onAgain={(id) => calls.push(`again ${id}`)}
      onTakeBack={(id) => calls.push(`back ${id}`)}
    />,
  )

describe("touches that the server does not have", () => {
  test("on their way, they take no room on the page", () => {
    expect(show([held], false).container.innerHTML).toBe("")
  })

  test("waiting, they are counted", () => {
    show([held], true)
    expect(screen.getByRole("status").textContent).toBe("One touch is kept here, not yet sent.")
    cleanup()
    show([held, { ...held, client_id: "b" }], true)
    expect(screen.getByRole("status").textContent).toBe("2 touches are kept here, not yet sent.")
  })

  test("refused, each stands with its hour, the sentence and both ways on", () => {
    const calls: string[] = []
    show([{ ...held, refused: "That work is already done" }], true, calls)
    expect(screen.getByRole("alert").textContent).toContain(
      "Done, Coat 1 of 2, 09:00 was not taken: That work is already done",
    )
    expect(screen.queryByRole("status")).toBeNull()
    fireEvent.click(screen.getByText("Send again"))
    fireEvent.click(screen.getByText("Take it back"))
    expect(calls).toEqual(["again a", "back a"])
  })
})
