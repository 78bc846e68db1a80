import { Head, Link, usePoll } from "@inertiajs/react"
import { HandsStrip } from "@/bench/HandsStrip"
import { InHand, lowerFirst, rowSays } from "@/bench/InHand"
import { Pots } from "@/bench/Pots"
import { Rags } from "@/bench/Rags"
import { readWith } from "@/bench/ReadFirst"
import { Slab } from "@/bench/Slab"
import type { Unsent } from "@/bench/touch"
import { UnsentTouches } from "@/bench/UnsentTouches"
import { useBench } from "@/bench/useBench"
import { PageHead } from "@/components/PageHead"
import { Shell, useNow } from "@/components/Shell"
import { Trouble } from "@/components/Trouble"
import { Patterns, StripKey } from "@/drawing/Patterns"
import { useKeys } from "@/lib/keys"
import { duration, soon } from "@/lib/time"
import { useMeasures } from "@/lib/units"
import type { BenchPage, Entry } from "@/types"

const KEYS: [string, string][] = [["Space", "Start or done: the tape button"]]
const TAKEN_BACK: Record<string, (words: string) => string> = {
  started: (words) => `the start of ${words}`,
  done: (words) => `${words} done`,
  dry_test: (words) => `the test of ${words}`,
  fault: (words) => `the fault on ${words}`,
  note: (words) => `the note on ${words}`,
}

/** What to do now and next over all pieces, what is drying, and which windows close. */
export default function Bench(props: BenchPage) {
  const { temperature, film } = useMeasures()
  const state = useBench(props)
  const { bench, pieces, rooms, latest, pots, mixed, rags, unsent, waiting, trouble, touch, again, takeBack, dismiss } =
    state
  usePoll(60_000, { only: ["bench", "latest", "pots", "mixed", "read", "rags"] })
  const now = useNow(bench.now)
  const { zone } = bench
  useKeys({ " ": () => (document.querySelector("[data-space]") as HTMLButtonElement | null)?.click() })
  const name = (id: string) => pieces.find((piece) => piece.core_id === id)?.name ?? id
  const read = readWith(state.read, unsent)
  const shut = bench.open_today.at(-1)?.[1]
  const [next, ...later] = bench.upcoming
  const after = bench.running.length ? bench.upcoming : later
  return (
    <Shell keys={KEYS}>
      <Head title="Bench" />
      <Patterns />
      <PageHead
        title="Bench"
        facts={
          <>
            {shut && shut > now
              ? `${bench.people.join(" and ")} ${bench.people.length > 1 ? "work" : "works"} to ${soon(shut, zone, now)}`
              : "Shop is shut"}
            , {duration(bench.left_today_min)} of work left today.{" "}
            <Link href="/bench/day" className="underline underline-offset-2">
              Morning and evening
            </Link>
          </>
        }
      >
        <dl className="ui-summary">
          {rooms.map((room) => (
            <div key={room.name}>
              <dt>
                {room.name}, {readWords(room, now)}
              </dt>
              <dd>
                {temperature.text(room.t_c)}, {room.rh} % RH
              </dd>
            </div>
          ))}
        </dl>
      </PageHead>
      <UnsentTouches unsent={unsent} waiting={waiting} now={now} zone={zone} onAgain={again} onTakeBack={takeBack} />
      <Trouble sentence={unsent.some((kept) => kept.refused === trouble) ? "" : trouble} onRead={dismiss} />
      <div className="bench-grid">
        <InHand
          people={bench.people}
          running={bench.running}
          next={next}
          pieces={pieces}
          mixed={mixed}
          read={read}
          against={bench.against}
          now={now}
          zone={zone}
          onTouch={touch}
          last={lastTouch(latest, name)}
        />
        <section className="ruled pt-2" aria-label="After that">
          <h2 className="text-head">After that</h2>
          <ol className="after-list">
            {after.slice(0, 3).map((row) => (
              <li key={row.key}>
                <b>{soon(row.hands_start, zone, now)}</b>
                <span>
                  {row.words}, {name(row.piece).toLowerCase()}
                  <span className="text-second text-fine block">{rowSays(row, film)}</span>
                </span>
                <span className="text-fine text-second">{duration(row.hands_min)}</span>
              </li>
            ))}
            {after.length === 0 && <li className="text-second">Nothing more is planned.</li>}
          </ol>
          <Pots pots={pots} now={now} zone={zone} />
          <Rags rags={unsent.some(dealtWith) ? null : rags} now={now} zone={zone} onTouch={touch} />
        </section>
      </div>
      <section aria-label="Drying" className="mt-4">
        <div className="mb-1 flex flex-wrap items-center justify-between gap-2">
          <h2 className="text-head">Drying, soonest call on your hands first</h2>
          <StripKey />
        </div>
        {bench.drying.length === 0 ? (
          <p className="text-second thin-rule pt-3">
            Nothing is drying. What you coat stands here with its window until the next work on it.{" "}
            {pieces.length === 0 && (
              <Link href="/pieces/new" className="underline">
                Size up a piece
              </Link>
            )}
          </p>
        ) : (
          <div className="drying-slabs">
            {bench.drying.slice(0, 10).map((slab) => {
              const piece = pieces.find((candidate) => candidate.core_id === slab.row.piece)
              return piece ? (
                <Slab
                  key={slab.row.key}
                  slab={slab}
                  piece={piece}
                  now={now}
                  zone={zone}
                  onTouch={touch}
                  canStart={bench.running.length === 0}
                  read={read}
                  against={slab.next_row ? (bench.against[slab.next_row.key] ?? []) : []}
                  hand={bench.people[0]}
                />
              ) : null
            })}
          </div>
        )}
      </section>
      <section aria-label="Hands today" className="mt-3">
        <HandsStrip bench={{ ...bench, now }} pieces={pieces} />
      </section>
    </Shell>
  )
}

const dealtWith = (touch: Unsent) => touch.kind === "rags" && touch.refused === undefined

function lastTouch(latest: Entry[], name: (id: string) => string) {
  const [entry] = [...latest].sort((one, other) => other.id - one.id)
  if (!entry) return null
  const words = lowerFirst(entry.words).split(":")[0] ?? ""
  return { id: entry.id, words: TAKEN_BACK[entry.kind]?.(words) ?? words, piece: name(entry.piece ?? "") }
}

/** Whether the air of a room was read lately, or is as it was set. */
function readWords({ read, changes }: BenchPage["rooms"][number], now: number): string {
  if (!read) return changes ? "now" : "as set"
  if (read.state === "silent") return `nothing read for ${duration(now - read.at)}`
  return read.state === "jump" ? "a jump was read" : "read"
}
