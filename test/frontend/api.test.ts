// @vitest-environment jsdom
import { afterEach, describe, expect, test, vi } from "vitest"
import { Refused, reasonBy, send, sendFile, sendForLines, sendOnce } from "@/lib/api"
import { refusal, type Sent, tooOld, waitingServer } from "./support/server"

afterEach(() => vi.unstubAllGlobals())

const answered = async (status: number, json?: unknown) => {
  const requests = waitingServer()
  const sent = send("POST", "/entries", { kind: "done" }).catch((error: unknown) => error)
  await requests[0]?.answer(status, json)
  return { requests, sent }
}

describe("what must not be done twice", () => {
  const box = () => sendOnce("POST", "/batches/box", { batches: [1, 2] }).catch((error: unknown) => error)
  const ids = (requests: Sent[]) => requests.map(({ body }) => body?.client_id)

  test("goes out under the id that it had, where its answer was lost, and under another where it was refused", async () => {
    const requests = waitingServer()
    for (const [index, status] of [0, 503, 422, 200].entries()) {
      const sent = box()
      await requests[index]?.answer(status, status === 200 ? {} : refusal("No"))
      await sent
    }
    void box()
    const [first, second, third, fourth, fifth] = ids(requests)
    expect([second, third]).toEqual([first, first])
    expect(fourth).not.toBe(first)
    expect(fifth).not.toBe(fourth)
  })

  test("another thing has an id of its own, and each says what the device's clock says", async () => {
    const requests = waitingServer()
    void box()
    void sendOnce("POST", "/batches/box", { batches: [3] }).catch(() => null)
    expect(ids(requests)[0]).not.toBe(ids(requests)[1])
    expect(Math.abs(Date.parse(requests[0]?.headers["X-Device-Time"] ?? "") - Date.now())).toBeLessThan(5_000)
  })
})

describe("a request", () => {
  test("carries the token of the cookie", async () => {
    // biome-ignore lint/suspicious/noDocumentCookie: the server sets it so
    document.cookie = "XSRF-TOKEN=a%2Bb"
    const { requests, sent } = await answered(200, { fine: true })
    expect(await sent).toEqual({ fine: true })
    expect(requests[0]?.headers["X-XSRF-TOKEN"]).toBe("a+b")
  })

  test("with an old token goes out once more with the one the answer brought, and not a third time", async () => {
    const { requests, sent } = await answered(403, tooOld("No token"))
    await vi.waitFor(() => expect(requests).toHaveLength(2))
    await (requests[1] as Sent).answer(403, tooOld("No token"))
    expect(await sent).toMatchObject({ status: 403, reason: { sentence: "No token" } })
    expect(requests).toHaveLength(2)
  })

  test.each([
    [0, undefined, /does not answer/],
    [413, "too large", /too large/],
    [502, "<html>", /did not work/],
    [422, refusal("Choose a product", "product"), /Choose a product/],
  ])("refused with %i says why in a sentence", async (status, json, words) => {
    const { sent } = await answered(status, json)
    const error = await sent
    expect(error).toBeInstanceOf(Refused)
    expect((error as Refused).reason.sentence).toMatch(words)
  })

  test("with a file sends its fields beside it", async () => {
    let form: FormData | undefined
    vi.stubGlobal("fetch", async (_: string, request: RequestInit) => {
      form = request.body as FormData
      return new Response("{}")
    })
    await sendFile("/photos", new File(["x"], "x.jpg"), { words: "runs" })
    expect([...(form?.keys() ?? [])]).toEqual(["file", "words"])
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
        JSON.stringify(tokens.length === 1 ? { error: { sentence: "Old.", where: "", again: true } } : { kept: true }),
        {
          status: tokens.length === 1 ? 403 : 200,
        },
      )
    })
    expect(await send("POST", "/entries", {})).toEqual({ kept: true })
    expect(tokens).toEqual(["old", "new"])
  })
})

describe("an answer by lines", () => {
  const streamed = (parts: (string | Error)[]) =>
    vi.stubGlobal("fetch", async () => {
      const body = new ReadableStream<Uint8Array>({
        pull(out) {
          const part = parts.shift()
          if (part instanceof Error) out.error(part)
          else if (part === undefined) out.close()
          else out.enqueue(new TextEncoder().encode(part))
        },
      })
      return new Response(body, { status: 200 })
    })

  test("is told line by line, wherever the parts are cut", async () => {
    streamed(['{"early":1}\n{"ear', 'ly":2}\n', '{"answer":{"a":"é"}}\n'])
    const lines: unknown[] = []
    await sendForLines("/ways", {}, (line) => lines.push(line))
    expect(lines).toEqual([{ early: 1 }, { early: 2 }, { answer: { a: "é" } }])
  })

  test("that ends in an error is a refusal with its sentence", async () => {
    streamed(['{"early":1}\n', '{"error":{"sentence":"No luck","where":""}}\n'])
    const lines: unknown[] = []
    const told = sendForLines("/ways", {}, (line) => lines.push(line))
    await expect(told).rejects.toMatchObject({ reason: { sentence: "No luck" } })
    expect(lines).toEqual([{ early: 1 }])
  })

  test("that breaks off says that the computer does not answer", async () => {
    streamed(['{"early":1}\n', new TypeError("network error")])
    await expect(sendForLines("/ways", {}, () => {})).rejects.toMatchObject({ status: 0 })
  })
})
