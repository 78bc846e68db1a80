// The shop clock: piecewise linear, strictly increasing, invertible. Days with work are wide, nights and shut days are
// squeezed.
import { scaleLinear } from "d3-scale"
import { dayStart, parts } from "@/lib/time"

export type Span = [number, number]
type Segment = {
  from: number
  to: number
  x: number
  width: number
  kind: "work" | "night" | "shut" | "idle" | "break"
}
type Day = { start: number; x: number; width: number; label: string; short: string; work: boolean }
export type Axis = {
  width: number
  segments: Segment[]
  days: Day[]
  ticks: { minute: number; x: number; label: string }[]
  x: (minute: number) => number
  minute: (x: number) => number
}

const NIGHT = 14
const SHUT = 8
const IDLE = 26
const BREAK = 26
const LEAST_DAY = 90
const TICK_GAP = 28

type Draft = { from: number; to: number; kind: Segment["kind"]; fixed?: number; weight?: number; day?: number }

export function makeAxis(options: {
  open: Span[]
  hands: Span[]
  now: number
  from: number
  to: number
  zone: string
  width: number
}): Axis {
  const { zone } = options
  const drafts = tail(squeeze(days(options)), options)
  const weights = drafts.reduce((sum, draft) => sum + (draft.weight ?? 0), 0)
  const fixed = drafts.reduce((sum, draft) => sum + (draft.fixed ?? 0), 0)
  const works = drafts.filter((draft) => draft.kind === "work").length
  const room = Math.max(options.width - fixed, works * LEAST_DAY)
  let x = 0
  const segments = drafts.map((draft) => {
    const width = draft.fixed ?? (room * (draft.weight ?? 0)) / Math.max(weights, 1e-9)
    const segment: Segment = { from: draft.from, to: draft.to, x, width, kind: draft.kind }
    x += width
    return segment
  })
  const axis = { width: x, segments, ...scales(segments) }
  return { ...axis, days: dayMarks(segments, zone), ticks: ticks(segments, axis.x, zone) }
}

/** One draft a night and one a day, over all local days from first to last. */
function days({
  open,
  hands,
  now,
  from,
  to,
  zone,
}: {
  open: Span[]
  hands: Span[]
  now: number
  from: number
  to: number
  zone: string
}): Draft[] {
  const drafts: Draft[] = []
  const last = Math.max(...hands.map((span) => span[1]), now)
  let cursor = from
  for (let start = dayStart(from, zone); start <= Math.min(to, last); start = dayStart(start + 1440 + 180, zone)) {
    const end = dayStart(start + 1440 + 180, zone)
    const inside = (span: Span) => span[0] < end && span[1] > start
    const work = hands.filter(inside)
    const hours = open.filter(inside)
    const today = now >= start && now < end
    if (work.length || today) {
      const edges = [...work, ...hours, ...(today ? [[now, now + 1] as Span] : [])]
      const opens = Math.max(Math.min(...edges.map((span) => span[0])), cursor)
      const shuts = Math.max(Math.min(Math.max(...edges.map((span) => span[1])), end), opens + 60)
      if (opens > cursor) drafts.push({ from: cursor, to: opens, kind: "night", fixed: drafts.length ? NIGHT : 0.01 })
      drafts.push({
        from: opens,
        to: shuts,
        kind: "work",
        weight: Math.min(Math.max(1 + 0.6 * (work.length - 1), 1), 3),
        day: start,
      })
      cursor = shuts
    } else if (end > cursor) {
      const shuts = hours.length ? Math.max(...hours.map((span) => span[1])) : end
      drafts.push({
        from: cursor,
        to: Math.max(shuts, cursor + 1),
        kind: hours.length ? "idle" : "shut",
        fixed: hours.length ? IDLE : SHUT,
        day: start,
      })
      cursor = Math.max(shuts, cursor + 1)
    }
  }
  return drafts
}

/** Three or more days without work become one break. */
function squeeze(drafts: Draft[]): Draft[] {
  const out: Draft[] = []
  for (let index = 0; index < drafts.length; index += 1) {
    let until = index
    while (until < drafts.length && (drafts[until]?.kind === "idle" || drafts[until]?.kind === "shut")) until += 1
    const first = drafts[index]
    const last = drafts[until - 1]
    if (first && last && until - index >= 3) {
      out.push({ from: first.from, to: last.to, kind: "break", fixed: BREAK })
      index = until - 1
    } else if (first) out.push(first)
  }
  return out
}

/** The cure after the last work is one break. */
function tail(drafts: Draft[], { to }: { to: number }): Draft[] {
  const end = drafts.at(-1)?.to ?? to - 60
  return to > end ? [...drafts, { from: end, to, kind: "break", fixed: BREAK }] : drafts
}

/** One scale of many pieces, clamped at both ends. */
function scales(segments: Segment[]): Pick<Axis, "x" | "minute"> {
  const first = segments[0]
  if (!first) return { x: () => 0, minute: () => 0 }
  const scale = scaleLinear(
    [first.from, ...segments.map((segment) => segment.to)],
    [first.x, ...segments.map((segment) => segment.x + segment.width)],
  ).clamp(true)
  return { x: scale, minute: (x) => scale.invert(x) }
}

function dayMarks(segments: Segment[], zone: string): Day[] {
  return segments
    .filter((segment) => segment.kind !== "night" && segment.kind !== "break")
    .map((segment) => {
      const at = segment.kind === "work" ? segment.from : Math.max(segment.from, dayStart(segment.to - 1, zone))
      const { weekday, day, month } = parts(at, zone)
      return {
        start: at,
        x: segment.x,
        width: segment.width,
        label: `${weekday} ${day} ${month}`,
        short: `${weekday} ${day}`,
        work: segment.kind === "work",
      }
    })
}

/** Ticks every 1, 3 or 6 h, labels at least 28 px apart. */
function ticks(segments: Segment[], x: (minute: number) => number, zone: string) {
  return segments
    .filter((segment) => segment.kind === "work")
    .flatMap((segment) => {
      const hour = (segment.width / (segment.to - segment.from)) * 60
      const every = [1, 3, 6].find((hours) => hours * hour >= TICK_GAP)
      if (!every) return []
      const start = dayStart(segment.from, zone)
      const ticks = []
      for (let minute = start; minute <= segment.to; minute += 60) {
        const label = parts(minute, zone).hour
        if (minute > segment.from + 12 && minute < segment.to && label % every === 0)
          ticks.push({ minute, x: x(minute), label: String(label) })
      }
      return ticks
    })
}
