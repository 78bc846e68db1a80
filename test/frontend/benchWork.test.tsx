// @vitest-environment jsdom
import { cleanup, fireEvent, screen, waitFor } from "@testing-library/react"
import { afterEach, describe, expect, test, vi } from "vitest"
import { FaultCauses, type Found } from "@/bench/FaultCauses"
import { FromInstrument } from "@/bench/FromInstrument"
import { Measured } from "@/bench/Measured"
import { PieceRack } from "@/bench/PieceRack"
import type { Touch } from "@/bench/touch"
import type { BenchRow } from "@/types"
import { NOW, row } from "./support/bench"
import { renderPage } from "./support/client"
import { refusal, type Sent, waitingServer } from "./support/server"

afterEach(() => {
  cleanup()
  vi.unstubAllGlobals()
})

describe("alike pieces", () => {
  const show = (more: Partial<BenchRow>, inHand = true): Touch[] => {
    const touches: Touch[] = []
    renderPage(<PieceRack row={row(more)} inHand={inHand} onTouch={(touch) => touches.push(touch)} />)
    return touches
  }

  test("are ticked in any order, each once; T ticks the next", () => {
    const touches = show({ count: 3, ticked: [1] })
    fireEvent.click(screen.getByLabelText("Piece 3 is finished: tick"))
    fireEvent.keyDown(document.body, { key: "t" })
    expect(touches.map(({ nth }) => nth)).toEqual([3, 2])
    expect((screen.getByLabelText("Piece 1 is finished") as HTMLButtonElement).disabled).toBe(true)
    expect(screen.getByText("1 of 3 finished")).toBeTruthy()
  })

  test("many of them are ticked one after the other", () => {
    const touches = show({ count: 40, ticked: Array.from({ length: 30 }, (_, index) => index + 1) })
    fireEvent.click(screen.getByText("Tick 31"))
    expect(touches).toEqual([{ kind: "tick", pass: "p1/s1/1/top", nth: 31 }])
  })

  test("are only counted while nothing is in hand", () => {
    const touches = show({ count: 3 }, false)
    fireEvent.keyDown(document.body, { key: "t" })
    expect(screen.queryByRole("button")).toBeNull()
    expect(touches).toEqual([])
  })
})

describe("what is measured of a coat", () => {
  test("an instrument's readings are taken into the form, jumps left out", async () => {
    const requests = waitingServer()
    const values: number[][] = []
    renderPage(<FromInstrument kind="comb" near={[100]} now={NOW} onValues={(read) => values.push(...read)} />)
    await waitFor(() => expect(requests).toHaveLength(1))
    const one = { id: 4, name: "Bench comb", kind: "comb", words: "wet film comb", unit: "µm", stand_in: "none" }
    const readings = [
      { at: NOW, value: [95], jump: false },
      { at: NOW, value: [400], jump: true },
      { at: NOW, value: [105], jump: false },
    ]
    await requests[0]?.answer(200, { instruments: [{ ...one, last_at: NOW, readings }] })
    expect((await screen.findByText(/95, 105 µm/)).textContent).toContain("1 left out: it jumps")
    fireEvent.click(screen.getByText("Take it"))
    expect(values).toEqual([[95], [105]])
    fireEvent.click(screen.getByText("Read"))
    await waitFor(() => expect(requests.filter(({ method }) => method === "POST")).toHaveLength(1))
    const press = requests.find(({ method }) => method === "POST")
    expect(press).toMatchObject({ url: "/instruments/4/press", body: { near: [100] } })
    await press?.answer(422, refusal("The bench comb does not answer: look at its battery and its link."))
    expect(await screen.findByText(/does not answer/)).toBeTruthy()
  })

  const show = (more: Partial<BenchRow> = {}): Touch[] => {
    const touches: Touch[] = []
    renderPage(<Measured row={row(more)} now={NOW} onTouch={(touch) => touches.push(touch)} />)
    fireEvent.click(screen.getByText("Measure"))
    return touches
  }
  const type = (label: RegExp, value: string) => fireEvent.change(screen.getByLabelText(label), { target: { value } })

  test("comb, pot, surface and gun go out in one touch", () => {
    const touches = show()
    fireEvent.click(screen.getByText("100"))
    fireEvent.click(screen.getByText("110"))
    expect(screen.getByRole("status").textContent).toContain("100, 110 µm: 105 µm wet")
    type(/Pot before/, "812,5")
    type(/Pot after/, "640")
    type(/Surface/, "17.5")
    type(/Tip/, "1.3")
    fireEvent.click(screen.getByText("Take it down"))
    expect(touches).toEqual([
      {
        kind: "measured",
        pass: "p1/s1/1/top",
        comb_um: [100, 110],
        pot_g: [812.5, 640],
        surface_c: 17.5,
        gun: { tip_mm: 1.3 },
      },
    ])
  })

  test("half a pot and what cannot be are told beside the field, and nothing goes out", () => {
    const touches = show({ method: "brush" })
    expect(screen.queryByLabelText(/Tip/)).toBeNull()
    type(/Pot before/, "640")
    expect(screen.getByText("Both weights are needed.")).toBeTruthy()
    type(/Pot after/, "812")
    expect(screen.getByText("Less than before.")).toBeTruthy()
    type(/Surface/, "180")
    expect(screen.getByText("-20 to 80 °C.")).toBeTruthy()
    fireEvent.click(screen.getByText("Take it down"))
    expect(touches).toEqual([])
  })
})

describe("where a fault came from", () => {
  const fault = { id: "runs", name: "Runs or sags", looks: "Curtains", causes: ["cold air", "slow solvent"], by: null }
  const causes = (asks: string | null) => ({
    causes: [
      { says: "cold air", told: "for", words: "9 °C in the spray room then", asks: null },
      { says: "slow solvent", told: asks ? "open" : "against", words: asks ? null : "as you say", asks },
    ],
  })

  test("is ranked by what is known; an answer is asked with, and what the hand believes is kept", async () => {
    const requests: Sent[] = waitingServer()
    let found: Found = {}
    renderPage(<FaultCauses fault={fault} pass="p1/s1/1/top" found={found} onFound={(next) => (found = next)} />)
    expect(screen.getByText("Likely from: cold air, slow solvent.")).toBeTruthy()
    await waitFor(() => expect(requests).toHaveLength(1))
    await requests[0]?.answer(200, causes("Was a slow thinner in it?"))
    fireEvent.click(await screen.findByText("No"))
    expect(found).toEqual({ answers: { "slow solvent": false } })
    await waitFor(() => expect(requests).toHaveLength(2))
    expect(new URLSearchParams(requests[1]?.url.split("?")[1]).get("no")).toBe("slow solvent")
    await requests[1]?.answer(200, causes(null))
    fireEvent.click(await screen.findByLabelText(/cold air/))
    expect(found.cause).toBe("cold air")
  })
})
