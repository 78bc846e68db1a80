import { replaceEqualDeep } from "@tanstack/react-query"
import { useCallback, useEffect, useReducer, useRef, useState } from "react"
import { Refused, send } from "@/lib/api"
import { isLater } from "@/lib/requests"
import type { Approval, ErrorReason, Operation, Piece, Revision, Schedule, Sheet } from "@/types"
import { Ahead, aimOf } from "./ahead"

export type SheetState = { sheet: Sheet; schedule: Schedule; piece: Piece; approval: Approval | null }
type Edit = { operation: Operation; reason?: string }
/** What was refused; the edits that had no answer are here to be sent again. */
type Trouble = { error: ErrorReason; unsent: Edit[] }
/** What was changed here, held until somebody decides, and what was changed elsewhere. */
export type Stale = { edits: Edit[]; since: Revision[] }

type State = SheetState & {
  waiting: Operation[]
  trouble: Trouble | null
  stale: Stale | null
  announced: string
}
type Action =
  | { type: "queued"; waiting: Operation[] }
  | { type: "foreseen"; sheet: Sheet }
  | { type: "answered"; answer: SheetState; announced: string; stale: Stale | null }
  | { type: "refused"; trouble: Trouble; sheet: Sheet }
  | { type: "stale"; stale: Stale; sheet: Sheet }
  | { type: "dismiss" }

function reduce(state: State, action: Action): State {
  switch (action.type) {
    case "queued":
      return { ...state, waiting: action.waiting }
    case "foreseen":
      return { ...state, sheet: action.sheet }
    case "answered":
      return {
        ...state,
        ...action.answer,
        trouble: null,
        stale: action.stale,
        announced: action.announced,
      }
    case "refused":
      return { ...state, trouble: action.trouble, sheet: action.sheet, waiting: [] }
    case "stale":
      return { ...state, stale: action.stale, sheet: action.sheet, waiting: [] }
    case "dismiss":
      return { ...state, trouble: null }
  }
}

const same = (one: Operation, other: Operation): boolean => aimOf(one) !== null && aimOf(one) === aimOf(other)

/** The edit of the same fields that would bring back what a sheet shows. */
const wayBack = (operation: Operation, sheet: Sheet): Operation | null => {
  const step = operation.op === "change_step" && sheet.document.steps.find((candidate) => candidate.id === operation.id)
  if (!step) return null
  const was = new Map<string, unknown>(Object.entries(step))
  const set = Object.fromEntries(Object.keys(operation.set).map((field) => [field, was.get(field) ?? null]))
  return { ...operation, set }
}

/** A list with one edit more; of edits to the same field only the newest counts. */
const withEdit = (edits: Edit[], edit: Edit): Edit[] => {
  const last = edits.at(-1)
  return last && same(last.operation, edit.operation) ? [...edits.slice(0, -1), edit] : [...edits, edit]
}

/**
 * The schedule as the server computed it, and the ways to change it. Edits go out at once, one in flight; of edits to
 * the same field only the newest waits. Where somebody else changed the schedule, edits are held until it is decided
 * what becomes of them. What the server refuses stays on the screen with its sentence.
 */
export function useSheet(first: SheetState, spoken: (sheet: Sheet) => string) {
  const [state, dispatch] = useReducer(reduce, {
    ...first,
    waiting: [],
    trouble: null,
    stale: null,
    announced: "",
  })
  const queue = useRef<Edit[]>([])
  const sent = useRef<Edit | null>(null)
  const held = useRef<Stale | null>(null)
  const latest = useRef(first)
  const shown = useRef(first.sheet)
  const url = `/pieces/${first.piece.id}/schedule`
  const face = useRef(first.sheet.section.face)
  const [ahead] = useState(
    () =>
      new Ahead(url, () =>
        sent.current || held.current ? null : { base: latest.current.schedule.revision, face: face.current },
      ),
  )

  /** @param foreseen whether it may be what was foreseen of it, or lie before what is shown already */
  const take = useCallback(
    (answer: SheetState, foreseen = false) => {
      latest.current = answer
      const newest = queue.current.at(-1)
      const coming = foreseen && newest ? ahead.sheetOf(newest.operation) : undefined
      // What is the same stays the same object, so that only what changed is drawn.
      const sheet = replaceEqualDeep(shown.current, answer.sheet)
      if (!foreseen && sheet !== shown.current) ahead.forget()
      shown.current = coming ?? sheet
      dispatch({
        type: "answered",
        answer: { ...answer, sheet: shown.current },
        announced: spoken(answer.sheet),
        stale: held.current,
      })
      void ahead.ask()
    },
    [ahead, spoken],
  )

  useEffect(() => {
    if (first.schedule !== latest.current.schedule) {
      latest.current = first
      shown.current = first.sheet
      ahead.forget()
      dispatch({ type: "answered", answer: first, announced: "", stale: held.current })
    }
  }, [ahead, first])

  /** The edit that is out, then those that wait. */
  const underWay = useCallback(() => (sent.current ? [sent.current, ...queue.current] : queue.current), [])

  /** What an edit will make of the sheet, shown before the server has kept it; it says so if it does not. */
  const foresee = useCallback(
    (operation: Operation) => {
      const back = wayBack(operation, shown.current)
      if (back && underWay().every((edit) => same(edit.operation, operation))) ahead.keep(back, shown.current)
      ahead.edited(operation)
      const sheet = ahead.sheetOf(operation)
      if (!sheet) return
      shown.current = replaceEqualDeep(shown.current, sheet)
      dispatch({ type: "foreseen", sheet: shown.current })
    },
    [ahead, underWay],
  )

  /** What the page shows as on its way. */
  const tell = useCallback(() => {
    dispatch({ type: "queued", waiting: underWay().map((edit) => edit.operation) })
  }, [underWay])

  const hold = useCallback((stale: Stale) => {
    held.current = stale
    shown.current = latest.current.sheet
    dispatch({ type: "stale", stale, sheet: shown.current })
  }, [])

  const refuse = useCallback(
    (error: unknown, edit?: Edit) => {
      const waiting = queue.current
      queue.current = []
      if (!(error instanceof Refused)) throw error
      const since = (error.body as { since?: Revision[] } | null)?.since
      if (error.status === 409 && since && edit) hold({ edits: waiting.reduce(withEdit, [edit]), since })
      else {
        shown.current = latest.current.sheet
        dispatch({
          type: "refused",
          trouble: { error: error.reason, unsent: edit && isLater(error) ? [edit, ...waiting] : [] },
          sheet: shown.current,
        })
      }
    },
    [hold],
  )

  const drain = useCallback(async () => {
    if (sent.current) return
    try {
      for (let edit = queue.current.shift(); edit; edit = queue.current.shift()) {
        sent.current = edit
        tell()
        const base = latest.current.schedule.revision
        try {
          take(await send<SheetState>("POST", `${url}/edits`, { ...edit, base, face: face.current }), true)
        } catch (error) {
          refuse(error, edit)
        }
      }
    } finally {
      sent.current = null
      tell()
      void ahead.ask()
    }
  }, [ahead, refuse, take, tell, url])

  const edit = useCallback(
    (operation: Operation, reason?: string) => {
      const edit = { operation, reason }
      if (held.current) return hold({ ...held.current, edits: withEdit(held.current.edits, edit) })
      foresee(operation)
      queue.current = withEdit(queue.current, edit)
      tell()
      void drain()
    },
    [drain, foresee, hold, tell],
  )

  /** What had no answer, once more and in its order. */
  const again = useCallback(() => {
    dispatch({ type: "dismiss" })
    for (const { operation, reason } of state.trouble?.unsent ?? []) edit(operation, reason)
  }, [edit, state.trouble])

  const step = useCallback(
    async (way: "undo" | "redo") => {
      try {
        take(await send<SheetState>("POST", `${url}/${way}`, { face: face.current }))
      } catch (error) {
        refuse(error)
      }
    },
    [refuse, take, url],
  )

  const reload = useCallback(async () => {
    try {
      take(await send<SheetState>("GET", `${url}.json?face=${encodeURIComponent(face.current)}`))
      return true
    } catch (error) {
      refuse(error)
      return false
    }
  }, [refuse, take, url])

  /** The held edits once more, on what somebody else made of the schedule. */
  const reapply = useCallback(async () => {
    const stale = held.current
    held.current = null
    if (!(await reload())) held.current = stale
    else for (const { operation, reason } of stale?.edits ?? []) edit(operation, reason)
  }, [edit, reload])

  const leave = useCallback(() => {
    held.current = null
    void reload()
  }, [reload])

  const show = useCallback(
    (name: string) => {
      face.current = name
      void reload()
    },
    [reload],
  )

  return {
    ...state,
    edit,
    /** An edit that a hand is about to make: computed ahead of it. */
    near: useCallback((operation: Operation) => ahead.want(operation), [ahead]),
    undo: () => step("undo"),
    redo: () => step("redo"),
    again,
    reapply,
    reload,
    show,
    leave,
    dismiss: () => dispatch({ type: "dismiss" }),
    url,
  }
}
