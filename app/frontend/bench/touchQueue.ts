import type { Mutation, QueryClient } from "@tanstack/react-query"
import { Refused, send } from "@/lib/api"
import { isLater } from "@/lib/requests"
import { forgetTouch, keepTouch, keptTouches } from "./keptTouches"
import type { Unsent } from "./touch"

/** The key of every touch that is on its way, waits or was refused; and that of the bench as the last answer has it. */
export const TOUCH = ["touch"]
export const BENCH = ["bench"]
const LONGEST_WAIT_MS = 15_000

type Sending = Mutation<void, Error, Unsent>

/**
 * The touches of a page on their way to the server: each is kept on the device first, then sent, one after another in
 * the order they were made. A touch leaves the device only when the server has it or when the person takes it back.
 * Without an answer, or from a server in trouble, it goes out again later; a refusal is kept beside it and the next one
 * goes on.
 */
export class TouchQueue {
  private readonly restored: Promise<void>
  private last = 0

  constructor(private readonly client: QueryClient) {
    this.restored = this.restore()
  }

  add(touch: Omit<Unsent, "order">): void {
    this.last = Math.max(this.last + 1, Date.now())
    const whole = { ...touch, order: this.last }
    void this.restored.then(() => this.start(whole))
  }

  again(id: string): void {
    const before = this.find(id)
    const touch = before?.state.variables
    if (!before || !touch) return
    this.cache.remove(before)
    const { refused, ...whole } = touch
    void this.start(whole)
  }

  /** Lets go of a touch that was refused. */
  takeBack(id: string): void {
    const sending = this.find(id)
    if (sending) this.cache.remove(sending)
    void forgetTouch(id)
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

  private build(touch: Unsent): Sending {
    const refused = touch.refused
    return this.cache.build<void, Error, Unsent, unknown>(
      this.client,
      {
        mutationKey: TOUCH,
        scope: { id: "bench" },
        networkMode: "always",
        gcTime: Number.POSITIVE_INFINITY,
        retry: (_tries, error) => !(error instanceof Refused) || isLater(error),
        retryDelay: (tries) => Math.min(1000 * 2 ** tries, LONGEST_WAIT_MS),
        mutationFn: (unsent: Unsent) => this.deliver(unsent),
        onError: (error, unsent) => keepTouch({ ...unsent, refused: error.message }),
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

  private async start(touch: Unsent): Promise<void> {
    const sending = this.build(touch)
    await keepTouch(touch)
    await this.run(sending, touch)
  }

  private async run(sending: Sending, touch: Unsent): Promise<void> {
    try {
      await sending.execute(touch)
      this.cache.remove(sending)
    } catch {
      // A refusal stands beside its touch, where the page shows it.
    }
  }

  private async deliver({ words, refused, order, ...touch }: Unsent): Promise<void> {
    const answer = await send("POST", "/entries", touch)
    await forgetTouch(touch.client_id)
    this.client.setQueryData(BENCH, answer)
  }

  /** Takes up what an earlier visit left on the device. */
  private async restore(): Promise<void> {
    for (const touch of await keptTouches()) {
      this.last = Math.max(this.last, touch.order)
      if (this.find(touch.client_id)) continue
      const sending = this.build(touch)
      if (!touch.refused) void this.run(sending, touch)
    }
  }
}
