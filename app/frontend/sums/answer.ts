// biome-ignore lint/suspicious/noExplicitAny: each sum answers with its own numbers, told apart by its id
export type Answer = Record<string, any>
