// @vitest-environment jsdom
import { act, cleanup, waitFor } from "@testing-library/react"
import { afterEach, beforeEach, describe, expect, test, vi } from "vitest"
import { type SheetState, useSheet } from "@/schedule/useSheet"
import type { Operation } from "@/types"
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

// What the hook reads of an answer; a whole one is the server's work.
const state = (revision: number, ready_at = 100, wet_um = 85): SheetState =>
  ({
    sheet: { section: { face: "top" }, ready_at, document: { steps: [{ id: "s1", wet_um, coats: 2 }] } },
    schedule: { revision },
    piece: { id: 4 },
    approval: null,
  }) as unknown as SheetState

const first = state(7)
const sheet = () => renderPageHook(() => useSheet(first, (made) => `ready ${made.ready_at}`)).result
const film = (wet_um: number): Operation => ({ op: "change_step", id: "s1", set: { wet_um } })
const coats = (count: number): Operation => ({ op: "change_step", id: "s1", set: { coats: count } })

describe("an edit of a schedule", () => {
  test("goes out at once with the revision it was made on, and its answer is told aloud", async () => {
    const result = sheet()
    act(() => result.current.edit(coats(3), "One more coat"))
    expect(requests[0]).toMatchObject({
      url: "/pieces/4/schedule/edits",
      body: { operation: coats(3), reason: "One more coat", base: 7, face: "top" },
    })
    expect(result.current.waiting).toEqual([coats(3)])
    await requests[0]?.answer(200, state(8, 140))
    await waitFor(() => expect(result.current.announced).toBe("ready 140"))
    expect(result.current.schedule.revision).toBe(8)
    expect(result.current.waiting).toEqual([])
  })

  test("waits while another is out; of edits to one field only the newest waits, on the revision that then stands", async () => {
    const result = sheet()
    act(() => result.current.edit(coats(3)))
    for (const um of [90, 95, 100]) act(() => result.current.edit(film(um)))
    expect(requests).toHaveLength(1)
    expect(result.current.waiting).toEqual([coats(3), film(100)])
    await requests[0]?.answer(200, state(8))
    await waitFor(() => expect(requests).toHaveLength(2))
    expect(requests[1]?.body).toMatchObject({ operation: film(100), base: 8 })
    expect(result.current.waiting).toEqual([film(100)])
    await requests[1]?.answer(200, state(9))
    await waitFor(() => expect(result.current.schedule.revision).toBe(9))
    expect(requests).toHaveLength(2)
  })

  test("that is refused stands there with its sentence; what waited behind it is not sent", async () => {
    const result = sheet()
    act(() => result.current.edit(film(900)))
    act(() => result.current.edit(coats(3)))
    await requests[0]?.answer(422, refusal("900 µm is too much for one coat", "steps/s1/wet_um"))
    await waitFor(() => expect(result.current.trouble?.error.sentence).toBe("900 µm is too much for one coat"))
    expect(result.current.trouble?.unsent).toEqual([])
    expect(requests).toHaveLength(1)
    expect(result.current.schedule.revision).toBe(7)
    act(() => result.current.dismiss())
    expect(result.current.trouble).toBeNull()
  })

  test("on what somebody else has changed is shown with their changes, and made again on them when asked", async () => {
    const result = sheet()
    act(() => result.current.edit(coats(3), "One more coat"))
    const since = [{ number: 8, reason: "Thinner film" }]
    await requests[0]?.answer(409, refusal("The schedule has changed", "base", { since }))
    await waitFor(() => expect(result.current.stale?.since).toEqual(since))
    act(() => void result.current.reapply())
    expect(requests[1]).toMatchObject({ method: "GET", url: "/pieces/4/schedule.json?face=top" })
    await requests[1]?.answer(200, state(8))
    await waitFor(() => expect(requests).toHaveLength(3))
    expect(requests[2]?.body).toMatchObject({ operation: coats(3), reason: "One more coat", base: 8 })
    await requests[2]?.answer(200, state(9))
    await waitFor(() => expect(result.current.stale).toBeNull())
  })

  test("made while a change from elsewhere awaits a decision is held with the others, and none is lost", async () => {
    const result = sheet()
    act(() => result.current.edit(coats(3)))
    act(() => result.current.edit(film(90)))
    await requests[0]?.answer(409, refusal("The schedule has changed", "base", { since: [{ number: 8 }] }))
    await waitFor(() => expect(result.current.stale).not.toBeNull())
    act(() => result.current.edit(film(95)))
    act(() => void result.current.reload())
    await requests[1]?.answer(200, state(8))
    expect(result.current.stale?.edits.map((edit) => edit.operation)).toEqual([coats(3), film(95)])
    act(() => void result.current.reapply())
    await requests[2]?.answer(200, state(8))
    await waitFor(() => expect(requests).toHaveLength(4))
    expect(requests[3]?.body).toMatchObject({ operation: coats(3), base: 8 })
    await requests[3]?.answer(200, state(9))
    await waitFor(() => expect(requests[4]?.body).toMatchObject({ operation: film(95), base: 9 }))
    expect(result.current.stale).toBeNull()
  })

  test("that is left out is forgotten", async () => {
    const result = sheet()
    act(() => result.current.edit(coats(3)))
    await requests[0]?.answer(409, refusal("The schedule has changed", "base", { since: [{ number: 8 }] }))
    await waitFor(() => expect(result.current.stale).not.toBeNull())
    act(() => result.current.leave())
    await requests[1]?.answer(200, state(8))
    await waitFor(() => expect(result.current.stale).toBeNull())
    expect(requests).toHaveLength(2)
  })

  test("without an answer says so, and the next one goes out again", async () => {
    const result = sheet()
    act(() => result.current.edit(coats(3)))
    await requests[0]?.answer(0)
    await waitFor(() => expect(result.current.trouble?.error.sentence).toMatch(/does not answer/))
    act(() => result.current.edit(coats(4)))
    await requests[1]?.answer(200, state(8))
    await waitFor(() => expect(result.current.schedule.revision).toBe(8))
    expect(result.current.trouble).toBeNull()
  })

  test("that had no answer goes out once more when asked, with what waited behind it", async () => {
    const result = sheet()
    act(() => result.current.edit(coats(3), "thicker"))
    act(() => result.current.edit(film(90)))
    await requests[0]?.answer(0)
    await waitFor(() => expect(result.current.trouble?.unsent).toHaveLength(2))
    expect(result.current.waiting).toEqual([])
    act(() => result.current.again())
    expect(result.current.trouble).toBeNull()
    expect(requests[1]?.body).toMatchObject({ operation: coats(3), reason: "thicker", base: 7 })
    await requests[1]?.answer(200, state(8))
    await waitFor(() => expect(requests[2]?.body).toMatchObject({ operation: film(90), base: 8 }))
  })

  test("is undone and redone on the face that is shown", async () => {
    const result = sheet()
    act(() => result.current.show("edge"))
    await requests[0]?.answer(200, state(7))
    act(() => void result.current.undo())
    expect(requests[1]).toMatchObject({ url: "/pieces/4/schedule/undo", body: { face: "edge" } })
    await requests[1]?.answer(200, state(8))
    await waitFor(() => expect(result.current.schedule.revision).toBe(8))
  })
})

describe("an edit that a hand is about to make", () => {
  /** A hook that knows what 90 µm will make of the sheet. */
  const foreseen = async () => {
    const result = sheet()
    act(() => result.current.near(film(90)))
    expect(requests[0]).toMatchObject({
      url: "/pieces/4/schedule/ahead",
      body: { operation: film(90), base: 7, face: "top" },
    })
    await requests[0]?.answer(200, { sheet: state(7, 150, 90).sheet })
    return result
  }

  test("is shown as it is pressed, is on its way until it is kept, and is not drawn twice", async () => {
    const result = await foreseen()
    expect(result.current.sheet.ready_at).toBe(100)
    act(() => result.current.edit(film(90)))
    const shown = result.current.sheet
    expect([shown.ready_at, result.current.schedule.revision, result.current.waiting]).toEqual([150, 7, [film(90)]])
    await requests[1]?.answer(200, { ...state(8, 150, 90), settling: true })
    await waitFor(() => expect(result.current.schedule.revision).toBe(8))
    expect(result.current.sheet).toBe(shown)
  })

  test("is corrected by its answer, and taken back where it is refused", async () => {
    const result = await foreseen()
    act(() => result.current.edit(film(90)))
    await requests[1]?.answer(200, state(8, 160, 90))
    await waitFor(() => expect(result.current.sheet.ready_at).toBe(160))
    act(() => result.current.near(film(95)))
    await requests[2]?.answer(200, { sheet: state(8, 170, 95).sheet })
    act(() => result.current.edit(film(95)))
    expect(result.current.sheet.ready_at).toBe(170)
    await requests[3]?.answer(422, refusal("The shop is shut"))
    await waitFor(() => expect(result.current.trouble?.error.sentence).toBe("The shop is shut"))
    expect(result.current.sheet.ready_at).toBe(160)
  })

  test("stays shown while the answer to the one before comes in; the way back is known too", async () => {
    const result = await foreseen()
    act(() => result.current.edit(film(90)))
    act(() => result.current.edit(film(85)))
    expect(result.current.sheet.ready_at).toBe(100)
    await requests[1]?.answer(200, state(8, 150, 90))
    await waitFor(() => expect(requests[2]?.body).toMatchObject({ operation: film(85), base: 8 }))
    expect(result.current.sheet.ready_at).toBe(100)
  })

  test("is void once something else was edited or all was planned anew, and then asked for again", async () => {
    const result = await foreseen()
    act(() => result.current.edit(coats(3)))
    act(() => result.current.edit(film(90)))
    expect(result.current.sheet.ready_at).toBe(100)
    await requests[1]?.answer(200, state(8, 180, 85))
    await requests[2]?.answer(200, state(9, 200, 90))
    act(() => result.current.near(film(95)))
    await requests[3]?.answer(200, { sheet: state(9, 210, 95).sheet })
    act(() => void result.current.reload())
    await requests[4]?.answer(200, state(9, 205, 90))
    await waitFor(() => expect(requests[5]?.body).toMatchObject({ operation: film(90), base: 9 }))
  })

  test("is asked for one at a time, not while an edit is out, and its refusal says nothing", async () => {
    const result = sheet()
    for (const um of [90, 95]) act(() => result.current.near(film(um)))
    expect(requests).toHaveLength(1)
    act(() => result.current.edit(coats(3)))
    await requests[0]?.answer(503, refusal("Busy"))
    expect(requests).toHaveLength(2)
    await requests[1]?.answer(200, state(8))
    await waitFor(() => expect(result.current.schedule.revision).toBe(8))
    expect(result.current.trouble).toBeNull()
    expect(requests).toHaveLength(2)
  })
})
