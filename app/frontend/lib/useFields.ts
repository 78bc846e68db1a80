import { useReducer } from "react"

/** What is typed and chosen in a form, as one value; a change names the fields it changes. */
export const useFields = <Fields extends object>(first: Fields | (() => Fields)) =>
  useReducer(
    (fields: Fields, change: Partial<Fields>): Fields => ({ ...fields, ...change }),
    undefined,
    () => (typeof first === "function" ? first() : first),
  )
