// @vitest-environment jsdom
import { act, cleanup, waitFor } from "@testing-library/react"
import { afterEach, beforeEach, describe, expect, test, vi } from "vitest"
import { send as request } from "@/lib/api"
import { useAnswer, useSend } from "@/lib/requests"
import { renderPageHook } from "./support/client"
import { refusal, type Sent, waitingServer } from "./support/server"

let requests: Sent[]

beforeEach(() => {
  requests = waitingServer()
})
afterEach(() => {
  cleanup()
  vi.unstubAllGlobals()
})

type Question = { key: string; on?: boolean; keep?: boolean; quiet?: boolean }
const answer = (first: Question) =>
  renderPageHook(
    ({ key, ...options }: Question) =>
      useAnswer({
        key: [key],
        ask: (signal) => request<{ of: string }>("GET", `/answers/${key}`, undefined, signal),
        ...options,
      }),
    { initialProps: first },
  )

describe("what the server computes", () => {
  test("is asked again with each other key, and the answer to the question before is not shown", async () => {
    const { result, rerender } = answer({ key: "a" })
    await waitFor(() => expect(requests).toHaveLength(1))
    rerender({ key: "b" })
    await waitFor(() => expect(requests).toHaveLength(2))
    await requests[1]?.answer(200, { of: "b" })
    await requests[0]?.answer(200, { of: "a" })
    await waitFor(() => expect(result.current.answer).toEqual({ of: "b" }))
  })

  test("goes with its key, or stays until the next is there where that is asked for", async () => {
    for (const keep of [false, true]) {
      const { result, rerender, unmount } = answer({ key: `a ${keep}`, keep })
      await waitFor(() => expect(requests).toHaveLength(1))
      await requests[0]?.answer(200, { of: "a" })
      await waitFor(() => expect(result.current.answer).toEqual({ of: "a" }))
      rerender({ key: `b ${keep}`, keep })
      expect(result.current.answer).toEqual(keep ? { of: "a" } : null)
      unmount()
      requests.length = 0
    }
  })

  test("is asked for again by itself while the shop's computer is busy, and anything else is not", async () => {
    const { result } = answer({ key: "a" })
    await waitFor(() => expect(requests).toHaveLength(1))
    await requests[0]?.answer(503, { error: { sentence: "Busy", where: "", again: true } })
    expect(result.current.error).toBeNull()
    await waitFor(() => expect(requests).toHaveLength(2), { timeout: 4000 })
    await requests[1]?.answer(200, { of: "a" })
    await waitFor(() => expect(result.current.answer).toEqual({ of: "a" }))
  })

  test("that is refused stands as a reason beside the last answer", async () => {
    const { result, rerender } = answer({ key: "a", keep: true })
    await waitFor(() => expect(requests).toHaveLength(1))
    await requests[0]?.answer(200, { of: "a" })
    await waitFor(() => expect(result.current.answer).toEqual({ of: "a" }))
    rerender({ key: "b", keep: true })
    await waitFor(() => expect(requests).toHaveLength(2))
    await requests[1]?.answer(422, refusal("A cut is no colour", "target"))
    await waitFor(() => expect(result.current.error?.where).toBe("target"))
    expect(result.current.answer).toEqual({ of: "a" })
  })

  test("is not asked while it is off", async () => {
    const { rerender } = answer({ key: "a", on: false })
    expect(requests).toHaveLength(0)
    rerender({ key: "a", on: true })
    await waitFor(() => expect(requests).toHaveLength(1))
  })

  test("is asked once more where nobody waits and no answer came, and not where it was refused", async () => {
    const { result } = answer({ key: "a", quiet: true })
    await waitFor(() => expect(requests).toHaveLength(1))
    await requests[0]?.answer(503, refusal("Busy"))
    await waitFor(() => expect(requests).toHaveLength(2), { timeout: 2_500 })
    await requests[1]?.answer(422, refusal("No"))
    await waitFor(() => expect(result.current.error?.sentence).toBe("No"))
    expect(requests).toHaveLength(2)
  })
})

describe("what a hand sends", () => {
  const sender = () => renderPageHook(() => useSend()).result

  test("is done when the server says so, and what follows gets the answer", async () => {
    const result = sender()
    const got: unknown[] = []
    let done: Promise<boolean> | undefined
    await act(async () => {
      done = result.current.send(
        () => request("POST", "/shop/goal", { goal: "soonest" }),
        (answer) => got.push(answer),
      )
    })
    await waitFor(() => expect(result.current.busy).toBe(true))
    await requests[0]?.answer(200, { goal: "soonest" })
    expect(await done).toBe(true)
    expect(got).toEqual([{ goal: "soonest" }])
  })

  test("that is refused is a reason until the next try, or until it is dismissed", async () => {
    const result = sender()
    await act(async () => void result.current.send(() => request("POST", "/jobs/1")))
    await requests[0]?.answer(422, { error: { sentence: "No day", where: "due", accepted: "2026-12-24" } })
    await waitFor(() => expect(result.current.error?.sentence).toBe("No day"))
    expect(result.current.error?.sentence).toBe("No day")
    act(() => result.current.dismiss())
    await waitFor(() => expect(result.current.error).toBeNull())
  })
})
