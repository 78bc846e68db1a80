// @vitest-environment jsdom
import "fake-indexeddb/auto"
import { act, cleanup, waitFor } from "@testing-library/react"
import { afterEach, beforeEach, describe, expect, test, vi } from "vitest"
import { potAhead } from "@/mix/potAhead"
import { useMix } from "@/mix/useMix"
import { useScale } from "@/mix/useScale"
import type { Kept } from "@/outbox/kept"
import { allKept, forget } from "@/outbox/shelf"
import type { Pot, Pour } from "@/types"
import { renderPageHook } from "./support/client"
import { refusal, type Sent, waitingServer } from "./support/server"

vi.mock("@inertiajs/react", () => ({ router: {} }))

let requests: Sent[]
beforeEach(async () => {
  for (const { client_id } of await allKept()) await forget(client_id)
  requests = waitingServer()
})
afterEach(() => {
  cleanup()
  vi.unstubAllGlobals()
  vi.useRealTimers()
})

const pourOf = (name: string, more: Partial<Pour> = {}): Pour => ({
  name,
  role: "base",
  share: "100 parts",
  real: null,
  g: 50,
  first_g: 50,
  ml: 48,
  low_add_g: 48,
  high_add_g: 52,
  add_g: 50,
  add_ml: 48,
  low_add_ml: 46,
  high_add_ml: 50,
  poured_g: 0,
  state: "waiting",
  estimate: false,
  accepted: null,
  note: null,
  shelf_g: null,
  ...more,
})
const pot = (more: Partial<Pot> = {}) =>
  ({
    id: 3,
    name: "W20",
    closed: false,
    complete: false,
    poured_g: 0,
    log: [],
    pours: [pourOf("W20"), pourOf("H4")],
    ...more,
  }) as Pot
const first = pot()
const mix = () => renderPageHook(() => useMix(first)).result
const touch = (result: ReturnType<typeof mix>, ...what: Parameters<ReturnType<typeof useMix>["touch"]>) =>
  act(async () => void result.current.touch(...what))
const pour = { name: "W20", g: 50 }
const kept = (path: string, body: Record<string, unknown>, id: string): Kept => ({
  client_id: id,
  order: 1,
  place: "/mix/3",
  path: `/mix/3/${path}`,
  body,
  words: "Poured",
})

describe("a pour", () => {
  test("is in the pot at once, and as the server says when it has it", async () => {
    const result = mix()
    await touch(result, "pours", pour)
    await waitFor(() => expect(requests).toHaveLength(1))
    expect(requests[0]).toMatchObject({ url: "/mix/3/pours", body: pour })
    expect(result.current.pot).toMatchObject({ poured_g: 50, pours: [{ state: "done" }, { state: "waiting" }] })
    await requests[0]?.answer(200, { pot: pot({ poured_g: 50.4 }) })
    await waitFor(() => expect(result.current.pot.poured_g).toBe(50.4))
    expect(result.current.busy).toBe(false)
  })

  test("whose answer was lost is kept and sent again with its own id and time, so that nothing is poured twice", async () => {
    const result = mix()
    await touch(result, "pours", pour)
    await waitFor(() => expect(requests).toHaveLength(1))
    await requests[0]?.answer(0)
    await waitFor(() => expect(result.current.busy).toBe(false))
    expect(result.current.trouble).toBe("")
    await waitFor(() => expect(requests).toHaveLength(2), { timeout: 3_000 })
    expect(requests[1]?.body).toEqual(requests[0]?.body)
    await requests[1]?.answer(200, { pot: pot({ poured_g: 50 }) })
    expect(result.current.pot.poured_g).toBe(50)
  })

  test("that is refused is not in the pot, and is another pour the next time", async () => {
    const result = mix()
    await touch(result, "pours", pour)
    await waitFor(() => expect(requests).toHaveLength(1))
    await requests[0]?.answer(422, refusal("That can holds 20 g"))
    await waitFor(() => expect(result.current.trouble).toBe("That can holds 20 g"))
    expect(result.current.pot.poured_g).toBe(0)
    await touch(result, "pours", pour)
    await waitFor(() => expect(requests).toHaveLength(2))
    expect(requests[1]?.body?.client_id).not.toBe(requests[0]?.body?.client_id)
  })

  test("that ends the mix leads to its jar", async () => {
    const result = mix()
    await touch(result, "finish")
    await waitFor(() => expect(requests).toHaveLength(1))
    await requests[0]?.answer(200, { location: "/batches/9" })
    await waitFor(() => expect(result.current.on).toBe("/batches/9"))
  })
})

describe("a pot without the shop's computer", () => {
  test("takes weights as they are typed, and gives a pour back by the touch that made it", () => {
    const poured = potAhead(first, [kept("pours", { name: "W20", typed: "51,5 g" }, "a")])
    expect(poured).toMatchObject({ pot: { poured_g: 51.5 }, outside: null, last: { takesBack: { touch: "a" } } })
    const back = potAhead(first, [kept("pours", pour, "a"), kept("take_back", { touch: "a" }, "b")])
    expect(back).toMatchObject({ pot: { poured_g: 0 }, last: null })
  })

  test("says which pour lies outside its band, for what the others need cannot be told here", () => {
    expect(potAhead(first, [kept("pours", { name: "W20", g: 53 }, "a")]).outside).toBe("W20")
    const logged = pot({ poured_g: 53, log: [{ id: 8, name: "W20", grams: 53, at: 0 }] })
    const back = potAhead(logged, [kept("take_back", { entry: 8 }, "b")])
    expect(back).toMatchObject({ pot: { poured_g: 0 }, last: null })
  })

  test("is closed once it is done with", () => {
    expect(potAhead(first, [kept("finish", {}, "a")]).pot.closed).toBe(true)
    expect(potAhead(first, [{ ...kept("finish", {}, "a"), refused: "No." }]).pot.closed).toBe(false)
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
