import { send } from "./api"

/** Letters and digits that cannot be taken for each other, as the server's numbers have them. */
const LETTERS = "ACDEFHJKLMNPRTUVWXY34679"
const LENGTH = 6
/** What of a fault is sent; the rest says no more. */
const MOST = 2000

const numbers = new WeakMap<object, string>()

/** The number of a fault of the page: the same fault keeps it. */
export function numberOf(error: unknown): string {
  const key = typeof error === "object" && error !== null ? error : { error }
  const known = numbers.get(key)
  if (known) return known
  const drawn = crypto.getRandomValues(new Uint8Array(LENGTH))
  const number = Array.from(drawn, (value) => LETTERS[value % LETTERS.length]).join("")
  numbers.set(key, number)
  return number
}

/** Puts a fault of the page into the log of the shop's computer, under its number; without it the page goes on. */
export function report(error: unknown, where: string) {
  const { message, stack } = error instanceof Error ? error : { message: String(error), stack: "" }
  const cut = (text: string | undefined) => (text ?? "").slice(0, MOST)
  send("POST", "/page_faults", {
    number: numberOf(error),
    page: cut(location.pathname),
    message: cut(`${where}: ${message}`),
    stack: cut(stack),
  }).catch(() => {})
}
