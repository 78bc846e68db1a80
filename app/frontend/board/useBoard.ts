import { useCallback, useEffect, useState } from "react"
import { clientId, send, sendFile } from "@/lib/api"
import { useSend } from "@/lib/requests"
import type { Marks } from "@/photo/usePatch"
import type { Approval, Board, Choice, Photo, Reading, ShelfItem, Step } from "@/types"

export type BoardPairs = {
  left: [number, number][]
  picks: number
  strengths: { id: number; label: string; strength: number; sd: number; wins: number; losses: number }[]
  sure: boolean
}
export type BoardTrial = {
  id: number
  name: string
  boards: { id: number; name: string }[]
  weights: Record<string, number>
  verdicts: {
    label: string
    words: string
    score: number | null
    aspects: Record<string, number>
    missing: string[]
    beaten_by: string | null
    frontier: boolean
  }[]
  effects: {
    measure: string
    name: string
    unit: string
    lost: string[]
    effects: { words: string; size: number; low: number | null; high: number | null; told: string }[]
  }[]
}
export type Measure = { kind: string; name: string; unit: string; accepted: string }
export type Relook = { days: number; on: string; state: "done" | "due" | "coming" }
export type BoardVerdict = { cell: { id: number; label: string } | null; reason: string; at: number }
export type BoardWork = {
  passes: { words: string; cells: string; masked: string }[]
  mask_moves: number
  amounts: { name: string; ml: number }[]
  making: { piece_id: number; passes: number; done: number } | null
}
export type QuickReading = { cell: number; kind: string; value: number | [number, number, number] }
export type BoardProps = {
  board: Board
  shelf: ShelfItem[]
  wants: Record<string, string>
  pieces: Choice[]
  lights: { id: string; name: string; model: boolean }[]
  measures: Measure[]
  trial: BoardTrial | null
  pairs: BoardPairs | null
  relooks: Relook[]
  age_days: number
  verdict: BoardVerdict | null
  approval: Approval | null
  work: BoardWork | null
  /** How far two cells are apart: "smaller id larger id" => ΔE. */
  apart: Record<string, number>
}

/** A board and the ways to add to it; a refused reading stays in its field with the server's sentence. */
export function useBoard(first: BoardProps) {
  const [state, setState] = useState(first)
  const { send: keep, error, dismiss } = useSend()
  const [asked, setAsked] = useState(0)
  useEffect(() => setState(first), [first])

  const ask = useCallback(
    (cell: number, request: () => Promise<BoardProps>) => {
      setAsked(cell)
      return keep(request, setState)
    },
    [keep],
  )

  const base = `/boards/${first.board.id}/cells`
  return {
    ...state,
    error: error && { ...error, cell: asked },
    read: (cell: number, kind: Reading["kind"], value: Reading["value"], observer: string, light: string) =>
      ask(cell, () =>
        send("POST", `${base}/${cell}/readings`, {
          client_id: clientId(),
          kind,
          value,
          observer,
          light,
          taken_at: new Date().toISOString(),
        }),
      ),
    layers: (cell: number, layers: Step[]) => ask(cell, () => send("PATCH", `${base}/${cell}`, { layers })),
    ruin: (cell: number, ruined: string) => ask(cell, () => send("PATCH", `${base}/${cell}`, { ruined })),
    measure: (cell: number, kind: "lab" | "gloss", observer: string, light: string) =>
      ask(cell, () =>
        send("POST", `${base}/${cell}/measure`, { client_id: clientId(), measure: kind, observer, light }),
      ),
    readFile: (cell: number, file: File) => ask(cell, () => sendFile(`/boards/${first.board.id}/readings`, file)),
    weigh: (trial: number, weights: Record<string, number>) =>
      ask(0, () => send("PATCH", `/trials/${trial}`, { weights, board: first.board.id })),
    pick: (winner: number, loser: number) =>
      ask(winner, () => send("POST", `/boards/${first.board.id}/picks`, { client_id: clientId(), winner, loser })),
    quick: (readings: QuickReading[], observer: string, light: string) =>
      ask(0, () =>
        send("POST", `/boards/${first.board.id}/quick`, { client_id: clientId(), readings, observer, light }),
      ),
    decide: (cell: number | null, reason: string) =>
      ask(0, () => send("POST", `/boards/${first.board.id}/verdict`, { client_id: clientId(), cell, reason })),
    approve: (cell: number, name: string, seen: string) =>
      ask(cell, () => send("POST", `${base}/${cell}/approval`, { client_id: clientId(), name, light: seen })),
    photoColour: (cell: number, photo: number, marks: Marks) =>
      ask(cell, () => send("POST", `${base}/${cell}/photo_colour`, { client_id: clientId(), photo, ...marks })),
    photo: (cell: number, change: (photos: Photo[]) => Photo[]) =>
      setState((before) => ({
        ...before,
        board: {
          ...before.board,
          cells: before.board.cells.map((each) => (each.id === cell ? { ...each, photos: change(each.photos) } : each)),
        },
      })),
    dismiss,
    base,
  }
}
