// @vitest-environment jsdom
import "fake-indexeddb/auto"
import { onlineManager } from "@tanstack/react-query"
import { act, cleanup, waitFor } from "@testing-library/react"
import { createStore, set } from "idb-keyval"
import { afterEach, beforeEach, describe, expect, test, vi } from "vitest"
import { ahead } from "@/bench/ahead"
import type { Touch, Unsent } from "@/bench/touch"
import { useBench } from "@/bench/useBench"
import { inHandsOf } from "@/lib/me"
import type { Kept } from "@/outbox/kept"
import { allKept, forget, keep, keepAnswer } from "@/outbox/shelf"
import { useOutbox } from "@/outbox/useOutbox"
import type { BenchPage } from "@/types"
import { benchProps, NOW, row, slab } from "./support/bench"
import { renderPageHook } from "./support/client"
import { refusal, type Sent, tooOld, waitingServer } from "./support/server"

let requests: Sent[]

beforeEach(async () => {
  for (const touch of await allKept()) await forget(touch.client_id)
  requests = waitingServer()
})
afterEach(() => {
  cleanup()
  vi.unstubAllGlobals()
})

const bench = (props: BenchPage = benchProps(), keptAt?: number) =>
  renderPageHook((first: BenchPage) => ({ ...useBench(first, keptAt), ...useOutbox() }), { initialProps: props }).result
const kept = async () => (await allKept()).map(({ body }) => body.kind)
const posted = () => requests.filter(({ method }) => method === "POST")
const sent = (count: number) => waitFor(() => expect(posted()).toHaveLength(count))
const STARTED: Touch = { kind: "started", pass: "p1/s1/1/top" }
const DONE: Touch = { kind: "done", pass: "p1/s1/1/top" }
const left = (id: string, order: number, more: Partial<Kept> = {}): Kept => ({
  client_id: id,
  order,
  place: "/bench",
  path: "/entries",
  body: { ...STARTED, client_id: id, happened_at: "2026-11-23T09:00:00Z" },
  words: "Start, Coat 1 of 2",
  ...more,
})

describe("whose a touch is", () => {
  afterEach(() => inHandsOf(undefined))
  const held = () => ({ error: { sentence: "Imke did this, and Osei is here now.", where: "", whose: "Imke" } })

  test("goes with it, and it waits for them while the next ones go on", async () => {
    inHandsOf("Imke")
    const result = bench()
    act(() => result.current.touch({ ...STARTED, person: "Imke" }))
    inHandsOf("Osei")
    act(() => result.current.touch(DONE))
    await sent(1)
    expect(posted()[0]?.headers["X-Whose"]).toBe("Imke")
    await posted()[0]?.answer(409, held())
    await sent(2)
    expect(posted()[1]?.headers["X-Whose"]).toBe("Osei")
    await posted()[1]?.answer(200, benchProps())
    await waitFor(async () => expect((await allKept()).map((touch) => touch.held)).toEqual([true]))
    const id = String(posted()[0]?.body?.client_id)
    act(() => result.current.box.claim(id, "Osei"))
    await sent(3)
    expect(posted()[2]?.headers["X-Whose"]).toBe("Osei")
    expect(posted()[2]?.body).toMatchObject({ client_id: id, person: "Osei" })
  })

  test("is tried again with the next visit, for they may be here again", async () => {
    await keep(left("a", 1, { whose: "Imke", held: true, refused: "Imke did this, and Osei is here now." }))
    const result = bench()
    await sent(1)
    expect(posted()[0]?.headers["X-Whose"]).toBe("Imke")
    await posted()[0]?.answer(200, benchProps())
    await waitFor(() => expect(result.current.unsent).toEqual([]))
    expect(await kept()).toEqual([])
  })
})

describe("the bench", () => {
  test("keeps a touch on the device before the server has it, and sends it with its time and an id of its own", async () => {
    const result = bench()
    act(() => result.current.touch(STARTED))
    await sent(1)
    expect(await kept()).toEqual(["started"])
    expect(posted()[0]?.body).toMatchObject(STARTED)
    expect(Object.keys(posted()[0]?.body ?? {}).sort()).toEqual(["client_id", "happened_at", "kind", "pass"])
    expect(String(posted()[0]?.body?.client_id)).toHaveLength(36)
    await posted()[0]?.answer(200, { ...benchProps(), mixed: { "p1/s1/1/top": "/mix/7" } })
    await waitFor(() => expect(result.current.unsent).toEqual([]))
    expect(await kept()).toEqual([])
    expect(result.current.mixed).toEqual({ "p1/s1/1/top": "/mix/7" })
  })

  test("keeps what is touched while another touch is on its way, and sends it next", async () => {
    const result = bench()
    act(() => result.current.touch({ kind: "dry_test", pass: "p1/s1/1/top", answer: "not_yet" }))
    act(() => result.current.touch({ kind: "dry_test", pass: "p1/s1/2/top", answer: "dry" }))
    await sent(1)
    expect(posted()[0]?.body?.answer).toBe("not_yet")
    await posted()[0]?.answer(200, benchProps())
    await sent(2)
    expect(posted()[1]?.body?.answer).toBe("dry")
    expect(await kept()).toEqual(["dry_test"])
    await posted()[1]?.answer(200, benchProps())
    await waitFor(async () => expect(await kept()).toEqual([]))
  })

  test("follows a touch that the server has taken in until it says what it came to, while the next one goes out", async () => {
    const result = bench()
    act(() => result.current.touch(STARTED))
    await sent(1)
    expect(posted()[0]?.headers.Prefer).toBe("respond-async")
    await posted()[0]?.answer(202, { entry: 7, settle: "/entries/7/settling" })
    await sent(2)
    expect(posted()[1]?.url).toBe("/entries/7/settling")
    expect(await kept()).toEqual([])
    expect(result.current.unsent).toEqual([])
    expect(result.current.bench.running.map(({ key }) => key)).toEqual([STARTED.pass])
    act(() => result.current.touch(DONE))
    await sent(3)
    await posted()[1]?.answer(200, { ...benchProps(), mixed: { "p1/s1/1/top": "/mix/7" } })
    await waitFor(() => expect(result.current.mixed).toEqual({ "p1/s1/1/top": "/mix/7" }))
    expect(result.current.unsettled.map(({ body }) => body.kind)).toEqual(["done"])
  })

  test("asks for the page anew where a touch was taken in and what it came to is refused", async () => {
    const result = bench()
    act(() => result.current.touch(STARTED))
    await sent(1)
    await posted()[0]?.answer(202, { entry: 7, settle: "/entries/7/settling" })
    await sent(2)
    await posted()[1]?.answer(404, refusal("There is nothing here"))
    await waitFor(() => expect(requests.filter(({ method }) => method === "GET")).toHaveLength(1))
    await requests.at(-1)?.answer(200, benchProps())
    await waitFor(() => expect(result.current.unsettled).toEqual([]))
    expect(result.current.unsent).toEqual([])
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
    await posted()[0]?.answer(200, benchProps())
    expect(result.current.waiting).toBe(false)
  })

  test.each([0, 401, 403, 408, 429, 500, 502, 503])(
    "waits after %i with all touches kept, and sends the first one again",
    async (status) => {
      const result = bench()
      act(() => result.current.touch(STARTED))
      act(() => result.current.touch(DONE))
      await sent(1)
      await posted()[0]?.answer(status, tooOld("Busy."))
      if (status === 403) await sent(2).then(() => posted()[1]?.answer(status, tooOld("Busy.")))
      await waitFor(() => expect(result.current.waiting).toBe(true))
      expect(result.current.trouble).not.toBe("")
      expect(await kept()).toEqual(["started", "done"])
      const before = posted().length
      await waitFor(() => expect(posted()).toHaveLength(before + 1), { timeout: 2_500 })
      expect(posted().at(-1)?.body?.client_id).toBe(posted()[0]?.body?.client_id)
      await posted().at(-1)?.answer(200, benchProps())
      await waitFor(() => expect(posted().at(-1)?.body?.kind).toBe("done"))
    },
  )

  test.each([400, 404, 409, 413, 422])(
    "stands a refusal of %i beside its touch and goes on with the next; sent again it goes out anew",
    async (status) => {
      const result = bench()
      act(() => result.current.touch(STARTED))
      act(() => result.current.touch(DONE))
      await sent(1)
      await posted()[0]?.answer(status, refusal("That work is already begun", "pass"))
      await sent(2)
      await posted()[1]?.answer(200, benchProps())
      await waitFor(() => expect(result.current.unsent).toHaveLength(1))
      const id = result.current.unsent[0]?.client_id ?? ""
      expect(result.current.unsent[0]?.refused).toMatch(status === 413 ? /too large/ : /already begun/)
      expect((await allKept())[0]?.refused).toBe(result.current.unsent[0]?.refused)
      act(() => result.current.box.again(id))
      await sent(3)
      expect(posted()[2]?.body?.client_id).toBe(id)
      await posted()[2]?.answer(422, refusal("Still so"))
      await waitFor(() => expect(result.current.unsent[0]?.refused).toBe("Still so"))
      act(() => result.current.box.letGo(id))
      await waitFor(async () => expect(await kept()).toEqual([]))
      expect(result.current.unsent).toEqual([])
    },
  )

  test("sends what an earlier visit left, in its order and before what is touched now; what was refused stays beside", async () => {
    await keep(left("c", 3, { refused: "No." }))
    await keep(left("b", 2))
    await keep(left("a", 1))
    const result = bench()
    act(() => result.current.touch({ kind: "correction", corrects: 7 }))
    for (const [index, id] of ["a", "b"].entries()) {
      await sent(index + 1)
      expect(posted()[index]?.body?.client_id).toBe(id)
      await posted()[index]?.answer(200, benchProps())
    }
    await sent(3)
    expect(posted()[2]?.body?.kind).toBe("correction")
    expect(result.current.unsent.find(({ refused }) => refused)).toMatchObject({ client_id: "c", refused: "No." })
  })
})

describe("the device", () => {
  test("holds what is no touch without harm", async () => {
    const shelf = createStore("rhexon-bench", "touches")
    for (const [index, odd] of [7, null, "{", { client_id: 5 }, { client_id: "x" }].entries())
      await set(index, odd, shelf)
    expect(await allKept()).toEqual([])
  })

  test("sends what an older build kept", async () => {
    const shelf = createStore("rhexon-bench", "touches")
    await set(
      "o",
      { kind: "done", pass: "p1/s1/1/top", client_id: "o", happened_at: "x", order: 4, words: "Coat 1" },
      shelf,
    )
    expect(await allKept()).toEqual([
      {
        client_id: "o",
        order: 4,
        place: "/bench",
        path: "/entries",
        body: { kind: "done", pass: "p1/s1/1/top", client_id: "o", happened_at: "x" },
        words: "done, Coat 1",
      },
    ])
  })

  test("whose storage hangs does not hold a touch up", async () => {
    vi.spyOn(IDBDatabase.prototype, "transaction").mockImplementation(
      () => ({ objectStore: () => ({ put: () => ({}), transaction: {} }) }) as never,
    )
    const result = bench()
    act(() => result.current.touch(STARTED))
    await waitFor(() => expect(posted()).toHaveLength(1), { timeout: 5_000 })
    vi.restoreAllMocks()
  }, 8_000)

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

describe("without the shop's computer", () => {
  test("what is touched stands on the bench at once", async () => {
    const result = bench()
    act(() => result.current.touch(STARTED))
    await waitFor(() => expect(result.current.bench.running.map(({ key }) => key)).toEqual(["p1/s1/1/top"]))
    act(() => result.current.touch(DONE))
    await waitFor(() => expect(result.current.bench.running).toEqual([]))
    expect(result.current.unsent.map(({ body }) => body.kind)).toEqual(["started", "done"])
  })

  test("a touch that waits is taken back by its own id, after it in the line", async () => {
    const result = bench()
    act(() => result.current.touch(STARTED))
    await sent(1)
    await posted()[0]?.answer(0)
    const id = String(posted()[0]?.body?.client_id)
    await waitFor(() => expect(result.current.lastUnsent?.client_id).toBe(id))
    act(() => result.current.touch({ kind: "correction", corrects_touch: id }))
    await waitFor(() => expect(result.current.bench.running).toEqual([]))
    await waitFor(() => expect(posted()).toHaveLength(2), { timeout: 3_000 })
    expect(posted()[1]?.body?.client_id).toBe(id)
    await posted()[1]?.answer(200, benchProps())
    await sent(3)
    expect(posted()[2]?.body).toMatchObject({ kind: "correction", corrects_touch: id })
  })

  test("what takes back a touch that is refused goes with it", async () => {
    const result = bench()
    act(() => result.current.touch(STARTED))
    await sent(1)
    const id = String(posted()[0]?.body?.client_id)
    act(() => result.current.touch({ kind: "correction", corrects_touch: id }))
    await posted()[0]?.answer(422, refusal("That work is already begun", "pass"))
    await waitFor(async () => expect(await kept()).toEqual([]))
    expect(result.current.unsent).toEqual([])
    expect(posted()).toHaveLength(1)
  })

  test("a page that was kept shows what this device heard last, says how old it is, and asks again", async () => {
    const heard = { ...benchProps(), mixed: { x: "/mix/9" } }
    await keepAnswer("/bench", { answer: heard, at: 2_000 })
    const result = bench(benchProps(), 1_000)
    await waitFor(() => expect(result.current.mixed).toEqual({ x: "/mix/9" }))
    expect(result.current.at).toBe(2_000)
    await waitFor(() => expect(requests.filter(({ method }) => method === "GET")).toHaveLength(1))
    await requests[0]?.answer(0)
    await waitFor(() => expect(result.current.away).toBe(true))
  })

  test("a form that waits has its refusal, and lets go of what has to wait", async () => {
    const result = bench()
    const doing = { place: "/boards/3", path: "/boards/3/quick", body: {}, words: "Reading" }
    const refused = result.current.box.hand(doing)
    await sent(1)
    await posted()[0]?.answer(422, refusal("A gloss is 0 to 100", "gloss"))
    expect(await refused).toMatchObject({ reason: { where: "gloss" } })
    expect(await allKept()).toEqual([])
    const waits = result.current.box.hand(doing)
    await sent(2)
    await posted()[1]?.answer(0)
    expect(await waits).toBe("kept")
    expect(await allKept()).toHaveLength(1)
  })
})

describe("the bench ahead of the server", () => {
  const unsent = (...touches: Partial<Unsent>[]): Unsent[] =>
    touches.map((touch, index) => ({
      kind: "started",
      pass: "p1/s1/1/top",
      client_id: `c${index}`,
      happened_at: new Date((NOW + index) * 60_000).toISOString(),
      words: "Start, Coat 1 of 2",
      ...touch,
    }))

  test("a whole coat: begun, ticked, done, with its hands on today's strip", () => {
    const page = benchProps({ today: [row()] })
    const begun = ahead(page, unsent({ person: "Wren" }, { kind: "tick", nth: 1 }, { kind: "tick", nth: 2 }))
    expect(begun.bench.running).toMatchObject([{ status: "running", person: "Wren", hands_start: NOW, ticked: [1, 2] }])
    expect(begun.bench.upcoming).toEqual([])
    const done = ahead(page, unsent({}, { kind: "done" }))
    expect(done.bench.running).toEqual([])
    expect(done.bench.today).toMatchObject([{ status: "done", hands: [[NOW, NOW + 1]] }])
    expect(done.justDone).toMatchObject([{ at: NOW + 1, row: { key: "p1/s1/1/top" } }])
    expect(done.lastUnsent?.kind).toBe("done")
  })

  test("when what comes next is used up, the rest of today follows", () => {
    const more = row({ key: "p1/s2/1/top", words: "Coat 2 of 2" })
    const page = benchProps({ today: [row(), more] })
    expect(ahead(page, unsent({}, { kind: "done" })).bench.upcoming.map(({ key }) => key)).toEqual(["p1/s2/1/top"])
  })

  test("a test that says dry opens its film, and a refused touch did nothing", () => {
    const page = benchProps({ drying: [slab()] })
    const dry: Partial<Unsent> = { kind: "dry_test", milestone: "recoat_opens", answer: "dry" }
    expect(ahead(page, unsent(dry)).bench.drying[0]?.state).toBe("open")
    expect(ahead(page, unsent({ ...dry, answer: "not_yet" })).bench.drying[0]?.state).toBe("too_soon")
    expect(ahead(page, unsent({ ...dry, refused: "No." })).bench.drying[0]?.state).toBe("too_soon")
  })

  test("an entry of the log that is taken back here is gone here", () => {
    const entry = { id: 5, kind: "done", pass_key: "p1/s1/1/top", body: {}, at: NOW, words: "Coat 1", piece: "p1" }
    const page = {
      ...benchProps({ upcoming: [], today: [row({ status: "done" })], drying: [slab()] }),
      latest: [entry],
    }
    const back = ahead(page, unsent({ kind: "correction", corrects: 5, pass: undefined }))
    expect(back.latest).toEqual([])
    expect(back.bench.running.map(({ key }) => key)).toEqual(["p1/s1/1/top"])
    expect(back.bench.drying).toEqual([])
  })
})
