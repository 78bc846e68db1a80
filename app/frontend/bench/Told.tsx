import { Link } from "@inertiajs/react"
import { soon } from "@/lib/time"
import type { BenchPage, Moved, Noted } from "@/types"
import { lowerFirst } from "./words"

type Props = Pick<BenchPage, "noted" | "moved" | "better"> & {
  drying: BenchPage["bench"]["drying"]
  name: (id: string) => string
  zone: string
  now: number
}

const NAMED = 2

/** What the last touch came to, and what the plan has at another time since the shop last closed. */
export function Told({ noted, moved, better, drying, name, zone, now }: Props) {
  const at = (minute: number) => soon(minute, zone, now)
  return (
    <div className="bench-told">
      <p role="status">{noted && `Noted ${at(noted.at)}. ${says(noted, drying, name, at)}`}</p>
      {better && (
        <Link href="/pieces/plan" className="underline underline-offset-2">
          A better plan was found
        </Link>
      )}
      <MovedList moved={moved} name={name} at={at} />
    </div>
  )
}

type Rows = { moved: Moved[]; name: (id: string) => string; at: (minute: number) => string }

/** Work with its new time and the one before. */
export function MovedRows({ moved, name, at }: Rows) {
  return (
    <ul>
      {moved.map((move) => (
        <li key={move.key}>
          <b>{at(move.to)}</b> instead of {at(move.from)}: {lowerFirst(move.words)}, {name(move.piece)}
          {move.person ? `, now ${move.person}` : ""}
        </li>
      ))}
    </ul>
  )
}

export const tasks = (count: number) => (count === 1 ? "1 task" : `${count} tasks`)

/** Work that stands at another time than when the shop last closed, folded. */
export function MovedList({ moved, name, at }: Rows) {
  if (moved.length === 0) return null
  return (
    <details className="moved-list">
      <summary>{tasks(moved.length)} moved since the shop last closed</summary>
      <MovedRows {...{ moved, name, at }} />
    </details>
  )
}

function says(
  noted: Noted,
  drying: Props["drying"],
  name: (id: string) => string,
  at: (minute: number) => string,
): string {
  const slab = drying.find(({ row, state }) => row.key === noted.pass_key && state === "too_soon")
  const look = noted.kind === "dry_test" && slab?.opens_at ? `Look again ${at(slab.opens_at)}` : null
  const next = noted.next && `${lowerFirst(noted.next.words)} ${at(noted.next.to)} instead of ${at(noted.next.from)}`
  const ready = noted.ready && `ready ${at(noted.ready[1])} instead of ${at(noted.ready[0])}`
  const own = [look, next, ready].filter((part) => part !== null)
  if (own.length === 0 && noted.others.length === 0) return "Nothing moved."
  const others = noted.others
    .slice(0, NAMED)
    .map((move) => `${name(move.piece)}, ${lowerFirst(move.words)} ${at(move.to)} instead of ${at(move.from)}`)
  const more = noted.others.length - others.length
  if (more > 0) others.push(`${more} more moved`)
  return `${sentence([...own, ...(others.length ? others : ["nothing else moved"])].join("; "))}.`
}

const sentence = (text: string) => text.replace(/^./, (first) => first.toUpperCase())
