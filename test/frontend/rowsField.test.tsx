// @vitest-environment jsdom
import { render, screen } from "@testing-library/react"
import { expect, test, vi } from "vitest"
import { type Line, RowsField } from "@/shelf/RowsField"

const columns = [
  { words: "under", unit: null, kind: "choice", choices: [["solvent", "solvent"]], optional: null },
  { words: "recoat opens", unit: "min", kind: "number", choices: null, optional: null },
] as unknown as NonNullable<Line["columns"]>
const line = { words: "waits", kind: "waits", unit: "min" } as Line

test("what stands there and is on no list stays chosen, and stays when another row is taken away", () => {
  const changed = vi.fn()
  render(
    <RowsField
      line={line}
      columns={columns}
      rows={[
        ["solvent", "60"],
        ["old_class", "120"],
      ]}
      hint={[]}
      products={[]}
      invalid={false}
      onChange={changed}
    />,
  )
  const chosen = screen.getByLabelText("waits, row 2: under") as HTMLSelectElement
  expect([chosen.value, chosen.selectedOptions[0]?.text]).toEqual(["old_class", "old class"])
  screen.getByLabelText("waits: take row 1 away").click()
  expect(changed).toHaveBeenCalledWith([["old_class", "120"]])
})
