// @vitest-environment jsdom
import "fake-indexeddb/auto"
import { onlineManager } from "@tanstack/react-query"
import { act, cleanup, waitFor } from "@testing-library/react"
import { createStore, set } from "idb-keyval"
import { afterEach, beforeEach, describe, expect, test, vi } from "vitest"
import { forgetTouch, keepTouch, keptTouches } from "@/bench/keptTouches"
import type { Touch, Unsent } from "@/bench/touch"
import { useBench } from "@/bench/useBench"
import type { BenchPage } from "@/types"
import { benchProps } from "./support/bench"
import { renderPageHook } from "./support/client"
import { refusal, type Sent, waitingServer } from "./support/server"

let requests: Sent[]

beforeEach(async () => {
  for (const touch of await keptTouches()) await forgetTouch(touch.client_id)
  requests = waitingServer()
})
afterEach(() => {
  cleanup()
  vi.unstubAllGlobals()
})

const bench = () => renderPageHook((props: BenchPage) => useBench(props), { initialProps: benchProps() }).result
const kept = async () => (await keptTouches()).map(({ kind }) => kind)
const sent = (count: number) => waitFor(() => expect(requests).toHaveLength(count))
const STARTED: Touch = { kind: "started", pass: "p1/s1/1/top" }
const DONE: Touch = { kind: "done", pass: "p1/s1/1/top" }
const left = (id: string, order: number, more: Partial<Unsent> = {}): Unsent => ({
  ...STARTED,
  client_id: id,
  happened_at: "2026-11-23T09:00:00Z",
  order,
  ...more,
})

describe("the bench", () => {
  test("keeps a touch on the device before the server has it, and sends it with its time and an id of its own", async () => {
    const result = bench()
    act(() => result.current.touch(STARTED))
    await sent(1)
    expect(await kept()).toEqual(["started"])
    expect(requests[0]?.body).toMatchObject(STARTED)
    expect(Object.keys(requests[0]?.body ?? {}).sort()).toEqual(["client_id", "happened_at", "kind", "pass"])
    expect(String(requests[0]?.body?.client_id)).toHaveLength(36)
    await requests[0]?.answer(200, { ...benchProps(), mixed: { "p1/s1/1/top": "/mix/7" } })
    await waitFor(() => expect(result.current.unsent).toEqual([]))
    expect(await kept()).toEqual([])
    expect(result.current.mixed).toEqual({ "p1/s1/1/top": "/mix/7" })
  })

  test("keeps what is touched while another touch is on its way, and sends it next", async () => {
    const result = bench()
    act(() => result.current.touch({ kind: "dry_test", pass: "p1/s1/1/top", answer: "not_yet" }))
    act(() => result.current.touch({ kind: "dry_test", pass: "p1/s1/1/top", answer: "dry" }))
    await sent(1)
    expect(requests[0]?.body?.answer).toBe("not_yet")
    await requests[0]?.answer(200, benchProps())
    await sent(2)
    expect(requests[1]?.body?.answer).toBe("dry")
    expect(await kept()).toEqual(["dry_test"])
    await requests[1]?.answer(200, benchProps())
    await waitFor(async () => expect(await kept()).toEqual([]))
  })

  test("sends also where the device has no network, for the server may be the device itself", async () => {
    onlineManager.setOnline(false)
    const result = bench()
    act(() => result.current.touch(STARTED))
    await sent(1)
    onlineManager.setOnline(true)
  })

  test("says nothing of a touch that is only on its way, so that nothing moves under the hand", async () => {
    const result = bench()
    act(() => result.current.touch(STARTED))
    await sent(1)
    expect(result.current.unsent).toHaveLength(1)
    expect(result.current.waiting).toBe(false)
    await requests[0]?.answer(200, benchProps())
    expect(result.current.waiting).toBe(false)
  })

  test.each([0, 403, 408, 429, 500, 502, 503])(
    "waits after %i with all touches kept, and sends the first one again",
    async (status) => {
      const result = bench()
      act(() => result.current.touch(STARTED))
      act(() => result.current.touch(DONE))
      await sent(1)
      await requests[0]?.answer(status, refusal("Busy."))
      if (status === 403) await sent(2).then(() => requests[1]?.answer(status, refusal("Busy.")))
      await waitFor(() => expect(result.current.waiting).toBe(true))
      expect(result.current.trouble).not.toBe("")
      act(() => result.current.dismiss())
      expect(result.current.trouble).toBe("")
      expect(await kept()).toEqual(["started", "done"])
      const before = requests.length
      await waitFor(() => expect(requests).toHaveLength(before + 1), { timeout: 2_500 })
      expect(requests.at(-1)?.body?.client_id).toBe(requests[0]?.body?.client_id)
      await requests.at(-1)?.answer(200, benchProps())
      await waitFor(() => expect(requests.at(-1)?.body?.kind).toBe("done"))
    },
  )

  test.each([400, 404, 409, 413, 422])(
    "stands a refusal of %i beside its touch and goes on with the next; sent again it goes out anew",
    async (status) => {
      const result = bench()
      act(() => result.current.touch(STARTED))
      act(() => result.current.touch(DONE))
      await sent(1)
      await requests[0]?.answer(status, refusal("That work is already begun", "pass"))
      await sent(2)
      await requests[1]?.answer(200, benchProps())
      await waitFor(() => expect(result.current.unsent).toHaveLength(1))
      const id = result.current.unsent[0]?.client_id ?? ""
      expect(result.current.unsent[0]?.refused).toMatch(status === 413 ? /too large/ : /already begun/)
      expect((await keptTouches())[0]?.refused).toBe(result.current.unsent[0]?.refused)
      act(() => result.current.again(id))
      await sent(3)
      expect(requests[2]?.body?.client_id).toBe(id)
      await requests[2]?.answer(422, refusal("Still so"))
      await waitFor(() => expect(result.current.unsent[0]?.refused).toBe("Still so"))
      act(() => result.current.takeBack(id))
      await waitFor(async () => expect(await kept()).toEqual([]))
      expect(result.current.unsent).toEqual([])
    },
  )

  test("sends what an earlier visit left, in its order and before what is touched now; what was refused stays beside", async () => {
    await keepTouch(left("c", 3, { refused: "No." }))
    await keepTouch(left("b", 2, { kind: "done" }))
    await keepTouch(left("a", 1))
    const result = bench()
    act(() => result.current.touch({ kind: "correction", corrects: 7 }))
    for (const [index, id] of ["a", "b"].entries()) {
      await sent(index + 1)
      expect(requests[index]?.body?.client_id).toBe(id)
      await requests[index]?.answer(200, benchProps())
    }
    await sent(3)
    expect(requests[2]?.body?.kind).toBe("correction")
    expect(result.current.unsent.find(({ refused }) => refused)).toMatchObject({ client_id: "c", refused: "No." })
  })
})

describe("the device", () => {
  test("holds what is no touch without harm", async () => {
    const shelf = createStore("rhexon-bench", "touches")
    for (const [index, odd] of [7, null, "{", { client_id: 5 }, { client_id: "x" }].entries())
      await set(index, odd, shelf)
    expect(await keptTouches()).toEqual([])
  })

  test("that keeps nothing does not stop a touch", async () => {
    vi.stubGlobal("IDBObjectStore", undefined)
    vi.spyOn(IDBDatabase.prototype, "transaction").mockImplementation(() => {
      throw new DOMException("full", "QuotaExceededError")
    })
    const result = bench()
    act(() => result.current.touch(STARTED))
    await sent(1)
    expect(result.current.unsent).toHaveLength(1)
    vi.restoreAllMocks()
  })
})
