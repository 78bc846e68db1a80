// @vitest-environment jsdom
import { act, cleanup, renderHook, waitFor } from "@testing-library/react"
import { afterEach, beforeEach, describe, expect, test, vi } from "vitest"
import { type BenchProps, useBench } from "@/bench/useBench"
import { benchProps } from "./support/bench"
import { refusal, type Sent, waitingServer } from "./support/server"

let requests: Sent[]

beforeEach(() => {
  localStorage.clear()
  requests = waitingServer()
})
afterEach(() => {
  cleanup()
  vi.unstubAllGlobals()
})

const bench = () => renderHook((props: BenchProps) => useBench(props), { initialProps: benchProps() })
const kept = () =>
  (JSON.parse(localStorage.getItem("rhexon.unsent") ?? "[]") as { kind: string }[]).map((one) => one.kind)

describe("the bench", () => {
  test("keeps a touch on the device before the server has it, and sends it with its time and an id of its own", async () => {
    const { result } = bench()
    act(() => result.current.touch({ kind: "started", pass: "p1/s1/1/top" }))
    expect(kept()).toEqual(["started"])
    expect(requests[0]?.body).toMatchObject({ kind: "started", pass: "p1/s1/1/top" })
    expect(requests[0]?.body).not.toHaveProperty("words")
    expect(String(requests[0]?.body?.client_id)).toHaveLength(36)
    await requests[0]?.answer(200, benchProps())
    await waitFor(() => expect(kept()).toEqual([]))
  })

  test("keeps what is touched while another touch is on its way, and sends it next", async () => {
    const { result } = bench()
    act(() => result.current.touch({ kind: "dry_test", pass: "p1/s1/1/top", answer: "not_yet" }))
    act(() => result.current.touch({ kind: "dry_test", pass: "p1/s1/1/top", answer: "dry" }))
    expect(requests).toHaveLength(1)
    await requests[0]?.answer(200, benchProps())
    await waitFor(() => expect(requests).toHaveLength(2))
    expect(requests[1]?.body?.answer).toBe("dry")
    expect(kept()).toEqual(["dry_test"])
    await requests[1]?.answer(200, benchProps())
    await waitFor(() => expect(kept()).toEqual([]))
  })

  test("says nothing of a touch that is only on its way, so that nothing moves under the hand", async () => {
    const { result } = bench()
    act(() => result.current.touch({ kind: "started", pass: "p1/s1/1/top" }))
    expect(result.current.unsent).toHaveLength(1)
    expect(result.current.waiting).toBe(false)
    await requests[0]?.answer(200, benchProps())
    expect(result.current.waiting).toBe(false)
  })

  test.each([500, 503, 408])("waits after %i with the touch kept, and stops sending", async (status) => {
    const { result } = bench()
    act(() => result.current.touch({ kind: "started", pass: "p1/s1/1/top" }))
    act(() => result.current.touch({ kind: "done", pass: "p1/s1/1/top" }))
    await requests[0]?.answer(status, refusal("Busy."))
    await waitFor(() => expect(result.current.waiting).toBe(true))
    expect(kept()).toEqual(["started", "done"])
    expect(requests).toHaveLength(1)
  })

  test("stands a refusal beside its touch and goes on with the next; sent again it goes out anew", async () => {
    const { result } = bench()
    act(() => result.current.touch({ kind: "started", pass: "p1/s1/1/top" }))
    act(() => result.current.touch({ kind: "done", pass: "p1/s1/1/top" }))
    await requests[0]?.answer(422, refusal("That work is already begun", "pass"))
    await waitFor(() => expect(requests).toHaveLength(2))
    await requests[1]?.answer(200, benchProps())
    await waitFor(() => expect(result.current.unsent).toHaveLength(1))
    const [refused] = result.current.unsent
    expect(refused).toMatchObject({ kind: "started", refused: "That work is already begun" })
    act(() => result.current.again(refused?.client_id ?? ""))
    await waitFor(() => expect(requests).toHaveLength(3))
    expect(requests[2]?.body?.client_id).toBe(refused?.client_id)
    act(() => result.current.takeBack(refused?.client_id ?? ""))
    expect(result.current.unsent).toEqual([])
  })

  test("sends what an earlier visit left on the device, in its order, as soon as it opens", async () => {
    localStorage.setItem(
      "rhexon.unsent",
      JSON.stringify([
        { kind: "started", client_id: "a", happened_at: "2026-11-23T09:00:00Z" },
        { kind: "done", client_id: "b", happened_at: "2026-11-23T09:30:00Z" },
      ]),
    )
    bench()
    await waitFor(() => expect(requests).toHaveLength(1))
    expect(requests[0]?.body?.client_id).toBe("a")
    await requests[0]?.answer(200, benchProps())
    await waitFor(() => expect(requests).toHaveLength(2))
    expect(requests[1]?.body?.client_id).toBe("b")
  })
})
