// @vitest-environment jsdom
import { act, renderHook } from "@testing-library/react"
import { afterEach, beforeEach, expect, test, vi } from "vitest"
import { useCalm, useSteady } from "@/lib/steady"

beforeEach(() => void vi.useFakeTimers())
afterEach(() => void vi.useRealTimers())

const touch = () => act(() => void window.dispatchEvent(new Event("pointerdown")))
const wait = (ms: number) => act(() => void vi.advanceTimersByTime(ms))

function rows(first: string[]) {
  return renderHook(({ keys }) => useSteady(keys, (key) => key, useCalm()), { initialProps: { keys: first } })
}

const told = ({ current }: { current: { row: string; gone: boolean }[] }) =>
  current.map(({ row, gone }) => (gone ? `(${row})` : row)).join(" ")

test("rows take their new order at once while nobody touches the page", () => {
  const { result, rerender } = rows(["a", "b", "c"])
  rerender({ keys: ["c", "a"] })
  expect(told(result)).toBe("c a")
})

test("under a finger each keeps its place, what is gone too, and what is new comes last; five seconds after it they are sorted", () => {
  const { result, rerender } = rows(["a", "b", "c"])
  touch()
  rerender({ keys: ["d", "c", "a"] })
  expect(told(result)).toBe("a (b) c d")
  wait(4000)
  touch()
  wait(4000)
  expect(told(result)).toBe("a (b) c d")
  wait(1000)
  expect(told(result)).toBe("d c a")
})
