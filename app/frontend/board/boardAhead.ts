import { minuteOf } from "@/lib/time"
import type { Kept } from "@/outbox/kept"
import type { BoardPage, Reading } from "@/types"

type Read = { cell: number; reading: Reading }

/** The board with the readings that the server does not have yet; refused ones were not taken. */
export function boardAhead(page: BoardPage, unsent: Kept[]): BoardPage {
  const read = unsent.filter(({ refused }) => refused === undefined).flatMap(readingsOf)
  if (read.length === 0) return page
  const cells = page.board.cells.map((cell) => {
    const mine = read.filter((one) => one.cell === cell.id).map(({ reading }) => reading)
    return mine.length > 0 ? { ...cell, readings: [...cell.readings, ...mine] } : cell
  })
  return { ...page, board: { ...page.board, cells } }
}

function readingsOf({ path, body, order }: Kept): Read[] {
  const reading = (kind: unknown, value: unknown, nth = 0): Reading => ({
    // Of the server are numbers from 1 on.
    id: -order - nth,
    kind: String(kind),
    value: value as Reading["value"],
    observer: (body.observer as string) || null,
    light: (body.light as string) || null,
    instrument: null,
    at: minuteOf(String(body.taken_at ?? new Date(order).toISOString())),
    early: false,
  })
  const cell = /\/cells\/(\d+)\/readings$/.exec(path)?.[1]
  if (cell) return [{ cell: Number(cell), reading: reading(body.kind, body.value) }]
  if (!path.endsWith("/quick")) return []
  return (body.readings as { cell: number; kind: string; value: unknown }[]).map((one, nth) => ({
    cell: one.cell,
    reading: reading(one.kind, one.value, nth),
  }))
}

/** Whether a reading is on this device alone. */
export const notSent = ({ id }: Reading): boolean => id < 0
