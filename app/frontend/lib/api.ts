import type { ErrorReason } from "@/types"

/** A request that the server refused; what was typed stays on the screen. */
export class Refused extends Error {
  status: number
  reason: ErrorReason
  body: unknown

  constructor(status: number, reason: ErrorReason, body: unknown) {
    super(reason.sentence)
    this.status = status
    this.reason = reason
    this.body = body
  }
}

const token = () =>
  document.cookie
    .split("; ")
    .find((part) => part.startsWith("XSRF-TOKEN="))
    ?.slice("XSRF-TOKEN=".length)

/** Sends JSON and answers with JSON; throws Refused with the server's sentence. */
export async function send<T>(
  method: "GET" | "POST" | "PATCH" | "DELETE",
  url: string,
  body?: unknown,
  signal?: AbortSignal,
  more?: Record<string, string>,
): Promise<T> {
  return answered<T>(url, {
    method,
    signal,
    headers: { "Content-Type": "application/json", ...more },
    body: body === undefined ? undefined : JSON.stringify(body),
  })
}

/** Sends JSON and is answered line by line while it is reckoned; throws Refused, also where a line is an error. */
export async function sendForLines(url: string, body: unknown, onLine: (line: unknown) => void, signal?: AbortSignal) {
  const response = await fetched(url, {
    method: "POST",
    signal,
    headers: { Accept: "application/json, application/x-ndjson", "Content-Type": "application/json" },
    body: JSON.stringify(body),
  })
  const reader = response.body?.pipeThrough(new TextDecoderStream()).getReader()
  const next = () => reader?.read().catch(noAnswer)
  let rest = ""
  for (let part = await next(); part && !part.done; part = await next()) {
    const lines = (rest + part.value).split("\n")
    rest = lines.pop() ?? ""
    for (const line of lines) {
      const told: unknown = JSON.parse(line)
      if ((told as { error?: unknown }).error) throw new Refused(422, reasonBy(told), told)
      onLine(told)
    }
  }
}

/** Sends one file, with fields beside it. */
export async function sendFile<T>(url: string, file: File, fields: Record<string, string> = {}): Promise<T> {
  const form = new FormData()
  form.append("file", file)
  for (const [name, value] of Object.entries(fields)) form.append(name, value)
  return answered<T>(url, { method: "POST", body: form })
}

/** What an answer says went wrong: one shape, whoever wrote it. */
export function reasonBy(answer: unknown): ErrorReason {
  const error = (answer as { error?: unknown } | null)?.error
  const { sentence, where, accepted, again, confirm, whose } = (
    typeof error === "object" && error !== null ? error : {}
  ) as Partial<ErrorReason>
  return typeof sentence === "string"
    ? {
        sentence,
        where: typeof where === "string" ? where : "",
        accepted,
        ...(again === true && { again }),
        ...(confirm === true && { confirm }),
        ...(typeof whose === "string" && { whose }),
      }
    : { sentence: "That did not work on the shop's computer. Try again in a moment.", where: "" }
}

/** Asks whoever is there for the password again; true where it was given. Without a page around it nobody is asked. */
type Confirming = () => Promise<boolean>
let confirming: Confirming = () => Promise.resolve(false)
export const confirmBy = (ask: Confirming): void => {
  confirming = ask
}

const TOKEN = 403
const NOBODY = 401
/** Told to the window when the server knows nobody on this device any more. */
export const SIGNED_OUT = "rhexon:signed-out"

async function answered<T>(url: string, request: RequestInit): Promise<T> {
  const response = await fetched(url, request)
  return (await response.json().catch(() => null)) as T
}

/** A response that is no refusal. */
async function fetched(url: string, request: RequestInit, again = true): Promise<Response> {
  const headers = {
    Accept: "application/json",
    "X-XSRF-TOKEN": decodeURIComponent(token() ?? ""),
    // By which the server puts right what a clock that is off has written.
    "X-Device-Time": new Date().toISOString(),
    // By which a newer question of this page takes the place of one that still waits.
    "X-Page": PAGE,
    ...request.headers,
  }
  const response = await fetch(url, { ...request, headers }).catch(noAnswer)
  if (response.ok) return response
  const answer: unknown = await response.json().catch(() => null)
  if (response.status === NOBODY) dispatchEvent(new Event(SIGNED_OUT))
  // The answer has brought a new token: cookies were deleted, or the server came back with another secret.
  if (response.status === TOKEN && again && reasonBy(answer).again) return fetched(url, request, false)
  if (response.status === TOKEN && again && reasonBy(answer).confirm && (await confirming()))
    return fetched(url, request, false)
  if (response.status === 413)
    throw new Refused(
      413,
      { sentence: "The file is too large to be taken in", where: "file", accepted: "at most 20 MB" },
      null,
    )
  throw new Refused(response.status, reasonBy(answer), answer)
}

function noAnswer(error: unknown): never {
  if (error instanceof DOMException && error.name === "AbortError") throw error
  throw new Refused(
    0,
    { sentence: "The shop's computer does not answer, so nothing was changed there. Try again.", where: "" },
    null,
  )
}

const tried = new Map<string, string>()

/**
 * Sends what must not be done twice: the same again, after an answer that was lost, goes out under the id that it had.
 */
export async function sendOnce<T>(method: "POST" | "PATCH", url: string, body: object): Promise<T> {
  const what = `${method} ${url} ${JSON.stringify(body)}`
  const id = tried.get(what) ?? clientId()
  tried.set(what, id)
  try {
    const answer = await send<T>(method, url, { ...body, client_id: id })
    tried.delete(what)
    return answer
  } catch (error) {
    // Refused, it is another one the next time; without an answer it may have been done.
    if (error instanceof Refused && error.status >= 400 && error.status < 500 && error.status !== 403)
      tried.delete(what)
    throw error
  }
}

/** An id made here, so that a repeat is not a second entry. */
export const clientId = (): string =>
  typeof crypto.randomUUID === "function"
    ? crypto.randomUUID()
    : Array.from(crypto.getRandomValues(new Uint8Array(16)), (byte) => byte.toString(16).padStart(2, "0")).join("")

/** This page, as long as it is open. */
const PAGE = clientId()
