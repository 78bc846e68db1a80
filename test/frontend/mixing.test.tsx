// @vitest-environment jsdom
import { act, cleanup, waitFor } from "@testing-library/react"
import { afterEach, beforeEach, describe, expect, test, vi } from "vitest"
import { useMix } from "@/mix/useMix"
import { useScale } from "@/mix/useScale"
import type { Pot } from "@/types"
import { renderPageHook } from "./support/client"
import { refusal, type Sent, waitingServer } from "./support/server"

const visited: string[] = []
vi.mock("@inertiajs/react", () => ({ router: { visit: (url: string) => visited.push(url) } }))

let requests: Sent[]
beforeEach(() => {
  requests = waitingServer()
  visited.length = 0
})
afterEach(() => {
  cleanup()
  vi.unstubAllGlobals()
  vi.useRealTimers()
})

const pot = (poured: number) => ({ id: 3, poured }) as unknown as Pot
const mix = () => renderPageHook(() => useMix(pot(0))).result
const touch = (result: ReturnType<typeof mix>, ...what: Parameters<ReturnType<typeof useMix>["touch"]>) =>
  act(async () => void result.current.touch(...what))
const pour = { name: "W20", g: 50 }

describe("a pour", () => {
  test("is in the pot when the server has it", async () => {
    const result = mix()
    await touch(result, "pours", pour)
    await waitFor(() => expect(result.current.busy).toBe(true))
    expect(requests[0]).toMatchObject({ url: "/mix/3/pours", body: pour })
    await requests[0]?.answer(200, { pot: pot(50) })
    await waitFor(() => expect(result.current.pot).toEqual(pot(50)))
    expect(result.current.busy).toBe(false)
  })

  test("whose answer was lost is sent again with its own id and time, so that nothing is poured twice", async () => {
    const result = mix()
    await touch(result, "pours", pour)
    await requests[0]?.answer(0)
    await waitFor(() => expect(result.current.trouble).toMatch(/does not answer/))
    await touch(result, "pours", pour)
    expect(requests[1]?.body).toEqual(requests[0]?.body)
    await requests[1]?.answer(200, { pot: pot(50) })
    await waitFor(() => expect(result.current.trouble).toBe(""))
    await touch(result, "pours", pour)
    expect(requests[2]?.body?.client_id).not.toBe(requests[0]?.body?.client_id)
  })

  test("that is refused is another pour the next time", async () => {
    const result = mix()
    await touch(result, "pours", pour)
    await requests[0]?.answer(422, refusal("That can holds 20 g"))
    await waitFor(() => expect(result.current.trouble).toBe("That can holds 20 g"))
    await touch(result, "pours", pour)
    expect(requests[1]?.body?.client_id).not.toBe(requests[0]?.body?.client_id)
  })

  test("that ends the mix leads to its jar", async () => {
    const result = mix()
    await touch(result, "finish")
    await requests[0]?.answer(200, { location: "/batches/9" })
    await waitFor(() => expect(visited).toEqual(["/batches/9"]))
  })
})

describe("the scale", () => {
  test("is read while it is looked at, one request at a time, and says when it is silent", async () => {
    vi.useFakeTimers()
    const { result, unmount } = renderPageHook(() => useScale(true))
    act(() => void vi.advanceTimersByTime(2_000))
    expect(requests).toHaveLength(1)
    await requests[0]?.answer(200, { grams: 12.3, stable: true })
    await act(() => vi.advanceTimersByTimeAsync(1))
    expect(result.current.reading).toEqual({ grams: 12.3, stable: true })
    await act(() => vi.advanceTimersByTimeAsync(230))
    await requests[1]?.answer(503, refusal("The scale is unplugged"))
    await act(() => vi.advanceTimersByTimeAsync(1))
    expect(result.current.reading).toEqual({ silent: "The scale is unplugged" })
    unmount()
    vi.advanceTimersByTime(2_000)
    expect(requests).toHaveLength(2)
  })

  test("is left alone while nothing is poured", () => {
    vi.useFakeTimers()
    renderPageHook(() => useScale(false))
    vi.advanceTimersByTime(2_000)
    expect(requests).toHaveLength(0)
  })
})
