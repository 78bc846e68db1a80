import type { Mutation, QueryClient } from "@tanstack/react-query"
import { clientId, Refused, send } from "@/lib/api"
import { whoseHands } from "@/lib/me"
import { isLater } from "@/lib/requests"
import type { Doing, Kept } from "./kept"
import { allKept, briefly, forget, keep, keepAnswer } from "./shelf"

/** The key of every touch that is on its way, waits or was refused. */
export const TOUCH = ["touch"]
/** The key of what a place shows, as the last answer has it. */
export const placeKey = (place: string): string[] => ["place", place]

const LONGEST_WAIT_MS = 5_000
/** A touch that the server has not answered by then is called unsent. */
export const SLOW_MS = 3_000

type Sending = Mutation<unknown, Error, Kept>
/** What has become of a touch: the server's answer, or its refusal. */
export type Outcome = { answer: unknown } | { refused: Refused }

/**
 * What was touched on this device, on its way to the server: each touch is kept on the device first, then sent, one
 * after another in the order they were made. A touch leaves the device only when the server has it or when the person
 * takes it back; what it came to may follow, and is asked for while the next one goes out. Without an answer, or from a
 * server in trouble, it goes out again later; a refusal is kept beside it and the next one goes on.
 */
export class Outbox {
  private readonly restored: Promise<void>
  private last = 0

  constructor(private readonly client: QueryClient) {
    this.restored = this.restore()
  }

  /** @returns what became of it, whenever that is */
  async add(doing: Doing, id = clientId()): Promise<Outcome> {
    this.last = Math.max(this.last + 1, Date.now())
    const body = { ...doing.body, client_id: id }
    const touch = { ...doing, client_id: id, order: this.last, whose: whoseHands(), body }
    await briefly(this.restored)
    const sending = this.build(touch)
    await keep(touch)
    return this.run(sending, touch)
  }

  /**
   * For a form that waits for its answer.
   * @returns "sent", "kept" where no answer comes for now, or why the server refused it: the form has it then, and the
   *   device keeps it no longer
   */
  async hand(doing: Doing): Promise<"sent" | "kept" | Refused> {
    const id = clientId()
    const outcome = this.add(doing, id)
    const first = await Promise.race([outcome, this.waits(id)])
    if (first === "kept") return "kept"
    if ("answer" in first) return "sent"
    this.letGo(id)
    return first.refused
  }

  again(id: string): void {
    const before = this.find(id)
    const touch = before?.state.variables
    if (!before || !touch) return
    this.cache.remove(before)
    const { refused, held, ...whole } = touch
    void keep(whole).then(() => this.run(this.build(whole), whole))
  }

  /** What somebody else has done goes out in the name of whoever is here now. */
  claim(id: string, name: string): void {
    const touch = this.find(id)?.state.variables
    if (!touch) return
    const { whose, body } = touch
    touch.whose = name
    if (body.person === whose) touch.body = { ...body, person: name }
    this.again(id)
  }

  /** Lets go of a touch that was refused. */
  letGo(id: string): void {
    const sending = this.find(id)
    if (sending) this.cache.remove(sending)
    void forget(id)
  }

  /** Answers once it is clear that a touch has to wait: it is slow, or a try of it had no answer. */
  private waits(id: string): Promise<"kept"> {
    return new Promise((resolve) => {
      const kept = () => {
        clearTimeout(timer)
        stop()
        resolve("kept")
      }
      const timer = setTimeout(kept, SLOW_MS)
      const stop = this.cache.subscribe(() => {
        const state = this.find(id)?.state
        if (state?.status === "success" || state?.status === "error") {
          clearTimeout(timer)
          stop()
        } else if ((state?.failureCount ?? 0) > 0) kept()
      })
    })
  }

  private get cache() {
    return this.client.getMutationCache()
  }

  private find(id: string): Sending | undefined {
    return this.cache
      .findAll({ mutationKey: TOUCH })
      .map((each) => each as unknown as Sending)
      .find(({ state }) => state.variables?.client_id === id)
  }

  private build(touch: Kept): Sending {
    const refused = touch.refused
    return this.cache.build<unknown, Error, Kept, unknown>(
      this.client,
      {
        mutationKey: TOUCH,
        scope: { id: touch.settle ? "settling" : "touches" },
        networkMode: "always",
        gcTime: Number.POSITIVE_INFINITY,
        retry: (_tries, error) => !(error instanceof Refused) || isLater(error),
        retryDelay: (tries) => Math.min(1000 * 2 ** tries, LONGEST_WAIT_MS),
        mutationFn: (unsent: Kept) => (unsent.settle ? this.settle(unsent, unsent.settle) : this.deliver(unsent)),
        onError: (error, unsent) => {
          if (error instanceof Refused && error.reason.whose) unsent.held = true
          return keep({ ...unsent, refused: error.message })
        },
      },
      {
        context: undefined,
        data: undefined,
        error: refused ? new Refused(422, { sentence: refused, where: "" }, null) : null,
        failureCount: 0,
        failureReason: null,
        isPaused: false,
        status: refused ? "error" : "pending",
        submittedAt: touch.order,
        variables: touch,
      },
    )
  }

  private async run(sending: Sending, touch: Kept): Promise<Outcome> {
    try {
      const answer = await sending.execute(touch)
      this.cache.remove(sending)
      return { answer }
    } catch (error) {
      // It stands beside its touch, where the page shows it.
      return { refused: error as Refused }
    }
  }

  private async deliver(touch: Kept): Promise<unknown> {
    const { client_id, path, place, body, whose } = touch
    if (this.voids(body.corrects_touch)) return forget(client_id)
    const answer = await send("POST", path, body, undefined, {
      Prefer: "respond-async",
      ...(whose ? { "X-Whose": encodeURIComponent(whose) } : {}),
    })
    const settle = (answer as { settle?: unknown } | null)?.settle
    if (typeof settle !== "string") return this.show(place, answer, client_id)
    await forget(client_id)
    const acked = { ...touch, settle }
    void this.run(this.build(acked), acked)
    return answer
  }

  /**
   * What a touch that the server has came to: until that is known the page follows the touch by itself. The server has
   * it also where that is refused: the page is asked for anew then.
   */
  private async settle({ place, client_id }: Kept, path: string): Promise<unknown> {
    try {
      return await this.show(place, await send("POST", path, {}), client_id)
    } catch (error) {
      if (!(error instanceof Refused) || isLater(error)) throw error
      return this.client.invalidateQueries({ queryKey: placeKey(place) })
    }
  }

  private async show(place: string, answer: unknown, client_id: string): Promise<unknown> {
    await this.client.cancelQueries({ queryKey: placeKey(place) })
    // First what came of it, then the touch: a battery that is empty in between sends it twice, which is once.
    await keepAnswer(place, { answer, at: Date.now() })
    await forget(client_id)
    this.client.setQueryData(placeKey(place), answer)
    return answer
  }

  /** What takes back a touch that was refused meanwhile takes both away, for the server knows neither. */
  private voids(id: unknown): boolean {
    const target = typeof id === "string" ? this.find(id) : undefined
    if (target?.state.status !== "error") return false
    this.letGo(String(id))
    return true
  }

  /** Takes up what an earlier visit left on the device. */
  private async restore(): Promise<void> {
    for (const { held, refused, ...rest } of await allKept()) {
      // What waits for whoever did it is tried again: they may be here now.
      const touch: Kept = held ? rest : { ...rest, refused }
      this.last = Math.max(this.last, touch.order)
      if (this.find(touch.client_id)) continue
      const sending = this.build(touch)
      if (!touch.refused) void this.run(sending, touch)
    }
  }
}
