import { act } from "@testing-library/react"
import { vi } from "vitest"

export type Sent = {
  url: string
  method: string
  body: Record<string, unknown> | null
  headers: Record<string, string>
  /** The server's answer; status 0: none comes. */
  answer: (status: number, json?: unknown) => Promise<void>
}

/** A server of whose requests every one waits until the test answers it. */
export function waitingServer(): Sent[] {
  const requests: Sent[] = []
  vi.stubGlobal("fetch", (url: string, request: RequestInit) => {
    let resolve: (response: Response) => void = () => {}
    let reject: (error: Error) => void = () => {}
    const promise = new Promise<Response>((done, failed) => {
      resolve = done
      reject = failed
    })
    requests.push({
      url,
      method: request.method ?? "GET",
      body: request.body ? JSON.parse(String(request.body)) : null,
      headers: request.headers as Record<string, string>,
      answer: (status, json = {}) =>
        act(async () => {
          if (status === 0) reject(new TypeError("Failed to fetch"))
          else resolve(new Response(JSON.stringify(json), { status }))
          await promise.catch(() => null)
        }),
    })
    return promise
  })
  return requests
}

/** What is answered to a page whose token is too old. */
export const tooOld = (sentence: string) => ({ error: { sentence, where: "", again: true } })

/** A refusal as the server writes it. */
export const refusal = (sentence: string, where = "", more = {}) => ({ error: { sentence, where }, ...more })
