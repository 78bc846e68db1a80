import { Refused, send } from "@/lib/api"
import type { Operation, Sheet } from "@/types"

/** Steps and fields an edit sets: of edits to the same ones each stands for itself, whatever the ones before it set. */
export const aimOf = (operation: Operation): string | null =>
  operation.op === "change_step" ? `${operation.id}/${Object.keys(operation.set).join()}` : null

type Asked = { operation: Operation; void: boolean }

/**
 * Sheets of edits that a hand is about to make, asked of the server before it makes them, so that the picture is there
 * as it presses. One question at a time, and none while an edit is under way.
 */
export class Ahead {
  private known = new Map<string, Sheet>()
  private wanted: Operation[] = []
  private asked: Asked | null = null
  private recent: Operation[] = []
  private url: string
  private standing: () => { base: number; face: string } | null

  /** @param standing the revision and face to ask about; null while an edit is under way */
  constructor(url: string, standing: () => { base: number; face: string } | null) {
    this.url = url
    this.standing = standing
  }

  sheetOf(operation: Operation): Sheet | undefined {
    return this.known.get(keyOf(operation))
  }

  /** What is wanted last is asked first, but for what follows it. */
  want(operation: Operation) {
    if (aimOf(operation) === null) return
    this.recent = [...this.recent.filter((other) => keyOf(other) !== keyOf(operation)), operation].slice(-MOST_WANTED)
    if (this.known.has(keyOf(operation)) || this.asked?.operation === operation) return
    this.wanted = [...this.wanted.filter((other) => keyOf(other) !== keyOf(operation)), operation].slice(-MOST_WANTED)
    void this.ask()
  }

  keep(operation: Operation, sheet: Sheet) {
    this.known.set(keyOf(operation), sheet)
  }

  /** After an edit nothing else is known than what sets the same fields. */
  edited(operation: Operation) {
    const aim = aimOf(operation)
    const other = (one: Operation) => aim === null || aimOf(one) !== aim
    for (const key of this.known.keys()) if (other(JSON.parse(key))) this.known.delete(key)
    this.wanted = this.wanted.filter((one) => !other(one))
    if (this.asked && other(this.asked.operation)) this.asked.void = true
  }

  /** What was known is of another plan; what was wanted last is asked anew. */
  forget() {
    this.known.clear()
    if (this.asked) this.asked.void = true
    this.wanted = this.recent
  }

  async ask() {
    const standing = this.standing()
    if (this.asked || !standing) return
    const operation = this.wanted.shift()
    if (!operation) return
    if (this.known.has(keyOf(operation))) return void this.ask()
    const asked: Asked = { operation, void: false }
    this.asked = asked
    try {
      const { sheet } = await send<{ sheet: Sheet | null }>("POST", `${this.url}/ahead`, { operation, ...standing })
      if (sheet && !asked.void) this.known.set(keyOf(operation), sheet)
    } catch (error) {
      // What cannot be foreseen is no trouble: the edit itself will say why.
      if (!(error instanceof Refused)) throw error
    } finally {
      this.asked = null
    }
    void this.ask()
  }
}

const MOST_WANTED = 4

const keyOf = (operation: Operation): string => JSON.stringify(operation)
