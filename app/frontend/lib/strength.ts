/** How hard a password is to guess: 0 to 4 by zxcvbn (Wheeler 2016), as the server judges it. */
export type Strength = { score: 0 | 1 | 2 | 3 | 4; words: string }

const LEAST_LETTERS = 12
const WORDS = [
  "One of the most common passwords",
  "Easy to guess",
  "Could be guessed with time",
  "Hard to guess",
  "Very hard to guess",
]

/** What people choose most is loaded with the first letter that is typed, not with the page. */
const judge = async () => {
  const [{ zxcvbn, zxcvbnOptions }, common] = await Promise.all([
    import("@zxcvbn-ts/core"),
    import("@zxcvbn-ts/language-common"),
  ])
  zxcvbnOptions.setOptions({ dictionary: common.dictionary, graphs: common.adjacencyGraphs })
  return zxcvbn
}
let loaded: ReturnType<typeof judge> | undefined

export async function strengthOf(password: string, names: string[]): Promise<Strength> {
  loaded ??= judge()
  const zxcvbn = await loaded
  const { score } = zxcvbn(password.slice(0, 72), names.filter(Boolean))
  const missing = LEAST_LETTERS - [...password].length
  return { score, words: missing > 0 ? `${missing} more ${missing === 1 ? "letter" : "letters"}` : `${WORDS[score]}` }
}
