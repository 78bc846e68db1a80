import { afterEach, expect, test, vi } from "vitest"
import { recall, recallRecord, remember } from "@/lib/device"

afterEach(() => vi.unstubAllGlobals())

test("what a device holds broken counts as nothing", () => {
  for (const odd of ["{", "7", "null", "[1]", '"x"']) {
    vi.stubGlobal("localStorage", { getItem: () => odd })
    expect(recallRecord("rhexon.timers.1")).toEqual({})
  }
  vi.stubGlobal("localStorage", { getItem: () => '{"0":5}' })
  expect(recallRecord("rhexon.timers.1")).toEqual({ 0: 5 })
})

test("a device that keeps nothing stops nobody", () => {
  const no = () => {
    throw new DOMException("denied", "SecurityError")
  }
  vi.stubGlobal("localStorage", { getItem: no, setItem: no })
  expect(recall("rhexon.units")).toBeNull()
  remember("rhexon.units", "us")
  expect(recall("rhexon.units")).toBe("us")
})
