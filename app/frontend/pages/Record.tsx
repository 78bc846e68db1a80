import { Head, router } from "@inertiajs/react"
import { useEffect, useState } from "react"
import { ListPages } from "@/components/ListPages"
import { Shell } from "@/components/Shell"
import { useLater } from "@/lib/useLater"
import { Day } from "@/record/Day"
import { Looked, type Query } from "@/record/Looked"
import { RecordHead } from "@/record/RecordHead"
import { Strands } from "@/record/Strands"
import type { RecordPage } from "@/types"

/** So long the hand rests before words are looked for. */
const QUIET_MS = 350

const address = (query: Query, page = 1) => {
  const asked = new URLSearchParams(Object.entries(query).filter(([, value]) => value !== ""))
  if (page > 1) asked.set("page", String(page))
  return `/record${asked.size > 0 ? `?${asked}` : ""}`
}

/** The record: a line for each piece, the diary of the days, and whatever is looked for in it. */
export default function RecordPlace(props: RecordPage) {
  const { days, strands, choices, zone, now, count, page, last } = props
  const [query, setQuery] = useState<Query>(props.query)
  const go = (next: Query) => router.visit(address(next), { preserveState: true, preserveScroll: true, replace: true })
  const later = useLater(QUIET_MS)
  useEffect(() => setQuery(props.query), [props.query])
  const look = (change: Query) => {
    const next = Object.fromEntries(Object.entries({ ...query, ...change }).filter(([, value]) => value !== ""))
    setQuery(next)
    if ("words" in change) later(() => go(next))
    else go(next)
  }
  const looking = Object.keys(props.query).length > 0
  const file = (format: string) => address(props.query).replace("/record", `/record.${format}`)
  return (
    <Shell>
      <Head title="Record" />
      <RecordHead
        here="/record"
        facts={
          looking
            ? `${count} ${count === 1 ? "entry" : "entries"} found of what happened in the shop.`
            : "As it was written down: nothing in it is rewritten."
        }
      >
        <a href={file("csv")} className="ui-button" download>
          Save as CSV
        </a>
        <a href={file("json")} className="ui-button" download>
          JSON
        </a>
      </RecordHead>
      <Looked query={query} choices={choices} onLook={look} />
      {strands.length > 0 && <Strands strands={strands} zone={zone} now={now} />}
      {days.length === 0 && (
        <p className="text-head mt-4">
          {looking
            ? "Nothing of that is in the record."
            : "Nothing has happened yet: what is touched at the bench stands here."}
        </p>
      )}
      {days.map((one) => (
        <Day key={one.date} day={one} zone={zone} />
      ))}
      <ListPages page={{ number: page, last, count }} href={(number) => address(props.query, number)} of="entries" />
    </Shell>
  )
}
