import { useCallback, useEffect, useState } from "react"
import { clientId, send, sendFile } from "@/lib/api"
import { useSend } from "@/lib/requests"
import type { Marks } from "@/photo/usePatch"
import type { BoardPage, Photo, Reading, Step } from "@/types"

export type QuickReading = { cell: number; kind: string; value: number | [number, number, number] }
/** A board and the ways to add to it; a refused reading stays in its field with the server's sentence. */
export function useBoard(first: BoardPage) {
  const [state, setState] = useState(first)
  const { send: keep, error, dismiss } = useSend()
  const [asked, setAsked] = useState(0)
  useEffect(() => setState(first), [first])

  const ask = useCallback(
    (cell: number, request: () => Promise<BoardPage>) => {
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
