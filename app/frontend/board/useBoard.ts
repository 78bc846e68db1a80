import { useQueryClient } from "@tanstack/react-query"
import { useCallback, useMemo, useState } from "react"
import { send, sendFile, sendOnce } from "@/lib/api"
import { useSend } from "@/lib/requests"
import { placeKey } from "@/outbox/Outbox"
import { useOutbox } from "@/outbox/useOutbox"
import { usePlace } from "@/outbox/usePlace"
import type { Marks } from "@/photo/usePatch"
import type { BoardPage, ErrorReason, Photo, Reading, Step } from "@/types"
import { boardAhead } from "./boardAhead"

export type QuickReading = { cell: number; kind: string; value: number | [number, number, number] }

/**
 * A board and the ways to add to it. Readings and picks are kept on this device first; one that the server refuses
 * while its form waits stays in its field with the server's sentence.
 */
export function useBoard(first: BoardPage, keptAt?: number) {
  const place = `/boards/${first.board.id}`
  const client = useQueryClient()
  const { state: told } = usePlace({ place, first, keptAt })
  const { box, unsent } = useOutbox()
  const { send: keep, error, dismiss } = useSend()
  const [asked, setAsked] = useState(0)
  const [refused, setRefused] = useState<ErrorReason | null>(null)
  const state = useMemo(
    () =>
      boardAhead(
        told,
        unsent.filter((touch) => touch.place === place),
      ),
    [told, unsent, place],
  )

  const ask = useCallback(
    (cell: number, request: () => Promise<BoardPage>) => {
      setAsked(cell)
      setRefused(null)
      return keep(request, (answer) => client.setQueryData(placeKey(place), answer))
    },
    [client, keep, place],
  )
  const hand = useCallback(
    async (cell: number, path: string, body: Record<string, unknown>, words: string): Promise<boolean> => {
      setAsked(cell)
      dismiss()
      const outcome = await box.hand({ place, path, body, words })
      setRefused(typeof outcome === "object" ? outcome.reason : null)
      return typeof outcome === "string"
    },
    [box, dismiss, place],
  )

  const base = `${place}/cells`
  const label = (id: number) => told.board.cells.find((cell) => cell.id === id)?.label ?? ""
  const reason = refused ?? error
  return {
    ...state,
    error: reason && { ...reason, cell: asked },
    read: (cell: number, kind: Reading["kind"], value: Reading["value"], observer: string, light: string) =>
      hand(
        cell,
        `${base}/${cell}/readings`,
        { kind, value, observer, light, taken_at: new Date().toISOString() },
        `Reading of cell ${label(cell)}, ${told.board.name}`,
      ),
    layers: (cell: number, layers: Step[]) => ask(cell, () => send("PATCH", `${base}/${cell}`, { layers })),
    ruin: (cell: number, ruined: string) => ask(cell, () => send("PATCH", `${base}/${cell}`, { ruined })),
    measure: (cell: number, kind: "lab" | "gloss", observer: string, light: string) =>
      ask(cell, () => sendOnce("POST", `${base}/${cell}/measure`, { measure: kind, observer, light })),
    readFile: (cell: number, file: File) => ask(cell, () => sendFile(`/boards/${first.board.id}/readings`, file)),
    weigh: (trial: number, weights: Record<string, number>) =>
      ask(0, () => send("PATCH", `/trials/${trial}`, { weights, board: first.board.id })),
    pick: (winner: number, loser: number) =>
      hand(
        winner,
        `${place}/picks`,
        { winner, loser },
        `Pair of ${label(winner)} and ${label(loser)}, ${told.board.name}`,
      ),
    quick: (readings: QuickReading[], observer: string, light: string) =>
      hand(0, `${place}/quick`, { readings, observer, light }, `${readings.length} readings, ${told.board.name}`),
    decide: (cell: number | null, reason: string) =>
      ask(0, () => sendOnce("POST", `/boards/${first.board.id}/verdict`, { cell, reason })),
    approve: (cell: number, name: string, seen: string) =>
      ask(cell, () => sendOnce("POST", `${base}/${cell}/approval`, { name, light: seen })),
    photoColour: (cell: number, photo: number, marks: Marks) =>
      ask(cell, () => sendOnce("POST", `${base}/${cell}/photo_colour`, { photo, ...marks })),
    photo: (cell: number, change: (photos: Photo[]) => Photo[]) =>
      client.setQueryData<BoardPage>(
        placeKey(place),
        (before) =>
          before && {
            ...before,
            board: {
              ...before.board,
              cells: before.board.cells.map((each) =>
                each.id === cell ? { ...each, photos: change(each.photos) } : each,
              ),
            },
          },
      ),
    dismiss,
    base,
  }
}
