// @vitest-environment jsdom
import { cleanup, fireEvent, render, screen, waitFor } from "@testing-library/react"
import { afterEach, beforeEach, describe, expect, test } from "vitest"
import { ReadingForm } from "@/board/ReadingForm"
import type { Cell, ErrorReason, Measure } from "@/types"

beforeEach(() => localStorage.clear())
afterEach(cleanup)

const MEASURES = [
  { kind: "gloss", name: "gloss", unit: "GU", accepted: "0 to 200 GU" },
  { kind: "touch", name: "touch", unit: "", accepted: "1 rough to 5 smooth" },
  { kind: "grit", name: "grit felt", unit: "", accepted: "0 to 5" },
] as unknown as Measure[]

function show(error: ErrorReason | null = null, kept = true) {
  const read: unknown[][] = []
  const cell = { id: 1, label: "4" } as unknown as Cell
  render(
    <ReadingForm
      cell={cell}
      measures={MEASURES}
      error={error}
      onMeasure={async (...given) => {
        read.push(["by instrument", ...given])
        return kept
      }}
      onRead={async (...given) => {
        read.push(given)
        return kept
      }}
    />,
  )
  return read
}
const type = (label: string, value: string) => fireEvent.change(screen.getByLabelText(label), { target: { value } })
const keep = (label: string) => fireEvent.submit(screen.getByLabelText(label).closest("form") as HTMLFormElement)

describe("a reading", () => {
  test("of colour is three numbers, with point or comma, kept with who looked and in what light", async () => {
    const read = show()
    type("Who looked", "Imke")
    type("L*", "64,5")
    type("a*", "8")
    type("b*", "21.5")
    keep("L*")
    expect(read).toEqual([["lab", [64.5, 8, 21.5], "Imke", "daylight"]])
    await waitFor(() => expect(screen.getByRole("status").textContent).toBe("Colour kept on cell 4."))
    expect((screen.getByLabelText("L*") as HTMLInputElement).value).toBe("")
    expect(localStorage.getItem("rhexon.observer")).toBe("Imke")
  })

  test("that is no number goes to the server as it was typed, and what was typed stays", async () => {
    const read = show({ sentence: "Gloss cannot be shiny", where: "gloss" }, false)
    type("Gloss 60°, GU", "shiny")
    keep("Gloss 60°, GU")
    expect(read[0]?.slice(0, 2)).toEqual(["gloss", "shiny"])
    expect(screen.getByRole("alert").textContent).toBe("Gloss cannot be shiny")
    await waitFor(() => expect(screen.getByRole("status").textContent).toBe(""))
    expect((screen.getByLabelText("Gloss 60°, GU") as HTMLInputElement).value).toBe("shiny")
  })

  test("an empty one is not taken for nought", () => {
    const read = show()
    keep("Blotch, 0 even to 5")
    expect(read[0]?.slice(0, 2)).toEqual(["blotch", ""])
  })

  test("of another measure shows what is accepted of it, and offers none that has a field of its own", () => {
    const read = show()
    const offered = [...screen.getByLabelText("Another measure").querySelectorAll("option")].map((one) => one.value)
    expect(offered).toEqual(["touch", "grit"])
    fireEvent.change(screen.getByLabelText("Another measure"), { target: { value: "grit" } })
    type("0 to 5", "2")
    keep("0 to 5")
    expect(read[0]?.slice(0, 2)).toEqual(["grit", 2])
  })

  test("by instrument is the mean of three touches; a liking is one touch", async () => {
    const read = show()
    fireEvent.click(screen.getByText("Read the gloss"))
    await waitFor(() => expect(screen.getByRole("status").textContent).toMatch(/mean of three touches/))
    fireEvent.click(screen.getByLabelText("Liking 4 of 5"))
    expect(read.map((one) => one.slice(0, 2))).toEqual([
      ["by instrument", "gloss"],
      ["liking", 4],
    ])
  })
})
