import { useCallback, useEffect, useReducer, useRef } from "react"
import { Refused, send } from "@/lib/api"
import type { Approval, ErrorReason, Operation, Piece, Revision, Schedule, Sheet } from "@/types"

export type SheetState = { sheet: Sheet; schedule: Schedule; piece: Piece; approval: Approval | null }
type Answer = SheetState & { sequence?: number }
type Edit = { operation: Operation; reason?: string }
type Trouble = { error: ErrorReason; operation?: Operation }
export type Stale = { edit: Edit; since: Revision[] }

type State = SheetState & { waiting: Operation[]; trouble: Trouble | null; stale: Stale | null; announced: string }
type Action =
  | { type: "queued"; waiting: Operation[] }
  | { type: "answered"; answer: SheetState; announced: string }
  | { type: "refused"; trouble: Trouble }
  | { type: "stale"; stale: Stale }
  | { type: "dismiss" }

function reduce(state: State, action: Action): State {
  switch (action.type) {
    case "queued":
      return { ...state, waiting: action.waiting }
    case "answered":
      return { ...state, ...action.answer, trouble: null, stale: null, announced: action.announced }
    case "refused":
      return { ...state, trouble: action.trouble, waiting: [] }
    case "stale":
      return { ...state, stale: action.stale, waiting: [] }
    case "dismiss":
      return { ...state, trouble: null, stale: null }
  }
}

const same = (one: Operation, other: Operation): boolean =>
  one.op === "change_step" &&
  other.op === "change_step" &&
  one.id === other.id &&
  Object.keys(one.set).join() === Object.keys(other.set).join()

/**
 * The schedule as the server computed it, and the ways to change it. Edits go out at once, one in flight; of edits to the same field
 * only the newest waits. What the server refuses stays on the screen with its sentence.
 */
export function useSheet(first: SheetState, spoken: (sheet: Sheet) => string) {
  const [state, dispatch] = useReducer(reduce, { ...first, waiting: [], trouble: null, stale: null, announced: "" })
  const queue = useRef<Edit[]>([])
  const sent = useRef<Edit | null>(null)
  const latest = useRef(first)
  const url = `/pieces/${first.piece.id}/schedule`
  const face = useRef(first.sheet.section.face)

  const take = useCallback(
    (answer: SheetState) => {
      latest.current = answer
      dispatch({ type: "answered", answer, announced: spoken(answer.sheet) })
    },
    [spoken],
  )

  useEffect(() => {
    if (first.schedule !== latest.current.schedule) {
      latest.current = first
      dispatch({ type: "answered", answer: first, announced: "" })
    }
  }, [first])

  /** What the page shows as on its way: the edit that is out, then those that wait. */
  const tell = useCallback(() => {
    const edits = sent.current ? [sent.current, ...queue.current] : queue.current
    dispatch({ type: "queued", waiting: edits.map((waiting) => waiting.operation) })
  }, [])

  const refuse = useCallback((error: unknown, edit?: Edit) => {
    queue.current = []
    if (!(error instanceof Refused)) throw error
    const since = (error.body as { since?: Revision[] } | null)?.since
    if (error.status === 409 && since && edit) dispatch({ type: "stale", stale: { edit, since } })
    else dispatch({ type: "refused", trouble: { error: error.reason, operation: edit?.operation } })
  }, [])

  const drain = useCallback(async () => {
    if (sent.current) return
    try {
      for (let edit = queue.current.shift(); edit; edit = queue.current.shift()) {
        sent.current = edit
        tell()
        const base = latest.current.schedule.revision
        try {
          take(await send<Answer>("POST", `${url}/edits`, { ...edit, base, face: face.current }))
        } catch (error) {
          refuse(error, edit)
        }
      }
    } finally {
      sent.current = null
      tell()
    }
  }, [refuse, take, tell, url])

  const edit = useCallback(
    (operation: Operation, reason?: string) => {
      const last = queue.current.at(-1)
      if (last && same(last.operation, operation)) queue.current[queue.current.length - 1] = { operation, reason }
      else queue.current.push({ operation, reason })
      tell()
      void drain()
    },
    [drain, tell],
  )

  const step = useCallback(
    async (way: "undo" | "redo") => {
      try {
        take(await send<Answer>("POST", `${url}/${way}`, { face: face.current }))
      } catch (error) {
        refuse(error)
      }
    },
    [refuse, take, url],
  )

  const reload = useCallback(async () => {
    try {
      take(await send<Answer>("GET", `${url}.json?face=${encodeURIComponent(face.current)}`))
    } catch (error) {
      refuse(error)
    }
  }, [refuse, take, url])

  /** The same edit once more, on what somebody else made of the schedule. */
  const reapply = useCallback(async () => {
    const stale = state.stale
    if (!stale) return
    await reload()
    edit(stale.edit.operation, stale.edit.reason)
  }, [edit, reload, state.stale])

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
    undo: () => step("undo"),
    redo: () => step("redo"),
    reapply,
    reload,
    show,
    dismiss: () => dispatch({ type: "dismiss" }),
    url,
  }
}
