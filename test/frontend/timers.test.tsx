// @vitest-environment jsdom
import { act, cleanup, fireEvent, render, screen } from "@testing-library/react"
import { afterEach, beforeEach, describe, expect, test, vi } from "vitest"
import { callsOf } from "@/bench/calls"
import { Ringing } from "@/timers/Ringing"
import { TimersPanel } from "@/timers/TimersPanel"
import { next, timers } from "@/timers/timers"
import { benchProps, NOW, slab } from "./support/bench"

const START = NOW * 60_000
const said: string[] = []

beforeEach(() => {
  vi.useFakeTimers({ now: START })
  localStorage.clear()
  for (const id of Object.keys(timers.all())) timers.drop(id)
  said.length = 0
  vi.stubGlobal("Worker", undefined)
  vi.stubGlobal(
    "SpeechSynthesisUtterance",
    class {
      constructor(public text: string) {}
    },
  )
  vi.stubGlobal("speechSynthesis", { cancel: () => {}, speak: ({ text }: { text: string }) => said.push(text) })
})
afterEach(() => {
  cleanup()
  vi.useRealTimers()
  vi.unstubAllGlobals()
})

const pass = (minutes: number) => act(() => vi.advanceTimersByTimeAsync(minutes * 60_000))

describe("a timer", () => {
  test("rings at its time on whichever page, until it is heard", async () => {
    timers.set("x", START + 10 * 60_000, "10 min are over")
    render(<Ringing zone="Etc/UTC" />)
    await pass(9)
    expect(screen.queryByRole("alert")).toBeNull()
    await pass(1)
    expect(screen.getByRole("alert").textContent).toBe("09:1010 min are overHeard")
    fireEvent.click(screen.getByText("Heard"))
    expect(screen.queryByRole("alert")).toBeNull()
  })

  test("whose time came while no page was open rings when one is", async () => {
    localStorage.setItem("rhexon.timers", JSON.stringify({ old: { at: START - 60_000, words: "Wipe it off" }, odd: 7 }))
    window.dispatchEvent(new StorageEvent("storage", { key: "rhexon.timers" }))
    render(<Ringing zone="Etc/UTC" />)
    await pass(0)
    expect(screen.getByRole("alert").textContent).toContain("Wipe it off")
  })

  test("is read aloud where this device is asked to, again and again, and then stands silent", async () => {
    const { useVoice } = await import("@/timers/voice")
    function Loud() {
      const [, set] = useVoice()
      return (
        <button type="button" onClick={() => set("on")}>
          loud
        </button>
      )
    }
    render(<Loud />)
    fireEvent.click(screen.getByText("loud"))
    timers.set("x", START + 60_000, "Over")
    render(<Ringing zone="Etc/UTC" />)
    await pass(1)
    expect(said).toEqual(["Over"])
    await pass(30)
    expect(said).toHaveLength(9)
  })

  test("of the plan follows it until it has rung; the next is the soonest that has not", () => {
    timers.set("a", START + 1, "a")
    timers.set("b", START + 2, "b")
    timers.move("a", START + 3)
    expect(next(timers.all())?.[0]).toBe("b")
    timers.mark("b", { rung: true })
    timers.move("b", START + 9)
    expect(timers.all().b?.at).toBe(START + 2)
    expect(next(timers.all())?.[0]).toBe("a")
  })

  test("can be set for what opens and shuts, and for minutes of one's own", async () => {
    const page = benchProps({ drying: [slab({ closes_at: NOW + 90 })] })
    const calls = callsOf(page, NOW)
    expect(calls).toEqual([
      { id: "p1/s1/1/top/opens", at: NOW + 10, words: "Desk top, coat 2 of 2: may go on" },
      { id: "p1/s1/1/top/shuts", at: NOW + 75, words: "Desk top, coat 2 of 2: its window shuts in 15 min" },
    ])
    render(<TimersPanel calls={calls} now={NOW} zone="Etc/UTC" />)
    fireEvent.click(screen.getByText("Timers"))
    fireEvent.click(screen.getByLabelText("Ring: Desk top, coat 2 of 2: may go on"))
    fireEvent.click(screen.getByText("15 min"))
    expect(Object.values(timers.all()).map(({ at }) => (at - START) / 60_000)).toEqual([10, 15])
    fireEvent.click(screen.getByText("Stop it"))
    expect(Object.keys(timers.all())).toEqual(["p1/s1/1/top/opens"])
  })
})
