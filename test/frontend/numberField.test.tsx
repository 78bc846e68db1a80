// @vitest-environment jsdom
import { cleanup, fireEvent, render, screen } from "@testing-library/react"
import { useState } from "react"
import { afterEach, expect, test } from "vitest"
import { NumberField } from "@/components/NumberField"
import { typedNumber } from "@/lib/typed"

afterEach(cleanup)

const taken: number[] = []

function Side() {
  const [value, setValue] = useState(3)
  return (
    <NumberField
      label="Across"
      value={value}
      onNumber={(next) => {
        taken.push(next)
        setValue(next)
      }}
    />
  )
}

test("a figure typed letter by letter is the figure, with a point and with a comma", () => {
  for (const typed of ["3.5", "3,5"]) {
    taken.length = 0
    render(<Side />)
    const field = screen.getByLabelText("Across") as HTMLInputElement
    for (let at = 1; at <= typed.length; at++) fireEvent.change(field, { target: { value: typed.slice(0, at) } })
    expect(field.value).toBe(typed)
    expect(taken.at(-1)).toBe(3.5)
    cleanup()
  }
})

test("an empty field and words stay as typed, are told, and change nothing", () => {
  taken.length = 0
  render(<Side />)
  const field = screen.getByLabelText("Across") as HTMLInputElement
  for (const typed of ["", "wide"]) {
    fireEvent.change(field, { target: { value: typed } })
    expect(field.value).toBe(typed)
    screen.getByText("A number, such as 3.5.")
  }
  expect(taken).toEqual([])
})

test("what is typed goes to the server as a number, as nothing, or as it stands", () => {
  expect(["20", "19,5", "−3", " ", "", "warm", "1e999"].map(typedNumber)).toEqual([
    20,
    19.5,
    -3,
    null,
    null,
    "warm",
    "1e999",
  ])
})
