import { afterEach, describe, expect, test, vi } from "vitest"
import { afterSending, keepUnsent, type Unsent, unsent } from "@/bench/unsent"
import { reasonBy, send } from "@/lib/api"

const touch = (id: string, more: Partial<Unsent> = {}): Unsent => ({
  kind: "done",
  pass: "p1/s1/1/top",
  client_id: id,
  happened_at: "2026-11-23T07:00:00Z",
  ...more,
})

describe("a touch that was sent", () => {
  const list = [touch("a"), touch("b")]

  test("leaves the list when the server has it, and only it", () => {
    expect(afterSending(list, "a", { sent: true })).toEqual({ kept: [list[1]], wait: false })
  })

  test.each([0, 403, 408, 429, 500, 502, 503])("stays and waits after %i", (status) => {
    expect(afterSending(list, "a", { status, sentence: "no" })).toEqual({ kept: list, wait: true })
  })

  test.each([400, 404, 409, 413, 422])("stays with the refusal beside it after %i, and the next goes on", (status) => {
    expect(afterSending(list, "a", { status, sentence: "Already done." })).toEqual({
      kept: [touch("a", { refused: "Already done." }), list[1]],
      wait: false,
    })
  })
})

describe("the list on the device", () => {
  afterEach(() => vi.unstubAllGlobals())

  test("is read as empty where it cannot be read", () => {
    for (const kept of ["{", "7", "null", '[null,7,{"kind":"done"}]']) {
      vi.stubGlobal("localStorage", { getItem: () => kept })
      expect(unsent()).toEqual([])
    }
  })

  test("is held by the page where the device keeps nothing", () => {
    vi.stubGlobal("localStorage", {
      getItem: () => null,
      setItem: () => {
        throw new DOMException("full", "QuotaExceededError")
      },
    })
    keepUnsent([touch("a")])
    expect(unsent()).toEqual([touch("a")])
  })
})

describe("what a server answers", () => {
  afterEach(() => vi.unstubAllGlobals())

  test("is a sentence and a place, whoever wrote it", () => {
    expect(reasonBy({ error: { sentence: "No.", where: "steps/s1" } })).toEqual({
      sentence: "No.",
      where: "steps/s1",
      accepted: undefined,
    })
    for (const odd of [
      { status: 500, error: "Internal Server Error" },
      null,
      "<html>",
      { error: { where: 7 } },
      { error: null },
    ])
      expect(reasonBy(odd)).toEqual({ sentence: expect.stringContaining("did not work"), where: "" })
  })

  test("brings a new token once, and the request is sent again with it", async () => {
    const tokens: string[] = []
    const jar = { cookie: "XSRF-TOKEN=old" }
    vi.stubGlobal("document", jar)
    vi.stubGlobal("fetch", async (_url: string, request: RequestInit) => {
      tokens.push((request.headers as Record<string, string>)["X-XSRF-TOKEN"] ?? "")
      jar.cookie = "XSRF-TOKEN=new"
      return new Response(
        JSON.stringify(tokens.length === 1 ? { error: { sentence: "Old.", where: "" } } : { kept: true }),
        {
          status: tokens.length === 1 ? 403 : 200,
        },
      )
    })
    expect(await send("POST", "/entries", {})).toEqual({ kept: true })
    expect(tokens).toEqual(["old", "new"])
  })
})
