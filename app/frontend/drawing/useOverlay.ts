import { type PointerEvent, useEffect, useRef, useState } from "react"
import type { Row, Sheet } from "@/types"
import type { Axis } from "./axis"

type Props = {
  sheet: Sheet
  selected: string | null
  onSelect: (key: string) => void
  onMove: (row: Row, start: number) => void
}

const NEAR = 22

const DRAG = 8
const SNAP = 6

/** Touch and mouse: the nearest start within 22 px is selected; the selected one can be dragged after 8 px. */
export function useOverlay({ sheet, selected, onSelect, onMove }: Props, axis: Axis) {
  const [drag, setDrag] = useState<{ row: Row; minute: number } | null>(null)
  const began = useRef<{ x: number; y: number; row: Row | null } | null>(null)
  const surface = useRef<SVGRectElement>(null)
  // What a finger pulls sideways from the selected start is dragged; everything else scrolls. The style touch-action
  // does not reach into a drawing.
  useEffect(() => {
    const element = surface.current
    const hold = (event: TouchEvent) => {
      const [finger] = event.touches
      const start = began.current
      if (start?.row && finger && Math.abs(finger.clientX - start.x) > Math.abs(finger.clientY - start.y))
        event.preventDefault()
    }
    element?.addEventListener("touchmove", hold, { passive: false })
    return () => element?.removeEventListener("touchmove", hold)
  }, [])
  const local = (event: PointerEvent<SVGRectElement>) =>
    event.clientX - event.currentTarget.getBoundingClientRect().left
  const nearest = (x: number) => {
    const [near] = sheet.rows
      .map((row) => ({ row, gap: Math.abs(axis.x(row.work_start) - x) }))
      .sort((one, other) => one.gap - other.gap)
    return near && near.gap <= NEAR ? near.row : null
  }
  // Near an end of its legal range the start snaps to it.
  const snapped = (x: number, row: Row) => {
    const edge = [row.earliest, row.latest]
      .map((minute) => minute + row.setup_min)
      .find((minute) => Math.abs(axis.x(minute) - x) < SNAP)
    return edge ?? Math.round(axis.minute(x) / 5) * 5
  }
  return {
    drag,
    surface,
    handlers: {
      onPointerDown: (event: PointerEvent<SVGRectElement>) => {
        const x = local(event)
        const row = nearest(x)
        began.current = {
          x: event.clientX,
          y: event.clientY,
          row: row && row.key === selected && row.status === "planned" && !row.inserted ? row : null,
        }
        event.currentTarget.setPointerCapture(event.pointerId)
      },
      onPointerMove: (event: PointerEvent<SVGRectElement>) => {
        const start = began.current
        if (!start?.row) return
        const x = local(event)
        if (drag || Math.abs(event.clientX - start.x) > DRAG) setDrag({ row: start.row, minute: snapped(x, start.row) })
      },
      onPointerUp: (event: PointerEvent<SVGRectElement>) => {
        if (drag) onMove(drag.row, drag.minute - drag.row.setup_min)
        else {
          const row = nearest(local(event))
          if (row) onSelect(row.key)
        }
        setDrag(null)
        began.current = null
      },
      onPointerCancel: () => {
        setDrag(null)
        began.current = null
      },
    },
  }
}
