import { Head, Link } from "@inertiajs/react"
import { useRef, useState } from "react"
import type { JustDone as Done } from "@/bench/ahead"
import { BenchTools, useLarge } from "@/bench/BenchTools"
import { callsOf, useCallsOf } from "@/bench/calls"
import { HandsStrip } from "@/bench/HandsStrip"
import { InHand, type LastTouch } from "@/bench/InHand"
import { LargeNext } from "@/bench/Large"
import { Pots } from "@/bench/Pots"
import { Rags } from "@/bench/Rags"
import { Slab } from "@/bench/Slab"
import { Told } from "@/bench/Told"
import type { Unsent } from "@/bench/touch"
import { useBench } from "@/bench/useBench"
import { useKeptPages } from "@/bench/useKeptPages"
import { lowerFirst, rowSays } from "@/bench/words"
import { PageHead } from "@/components/PageHead"
import { Shell, useNow } from "@/components/Shell"
import { Patterns, StripKey } from "@/drawing/Patterns"
import { useKeys } from "@/lib/keys"
import { useCalm, useGlide, useSteady } from "@/lib/steady"
import { duration, soon } from "@/lib/time"
import { useMeasures } from "@/lib/units"
import { says, useAloud } from "@/timers/voice"
import type { BenchPage, BenchRow, Entry } from "@/types"

const KEYS: [string, string][] = [
  ["Space", "Start or done: the tape button"],
  ["T", "Tick the next of alike pieces"],
]
const TAKEN_BACK: Record<string, (words: string) => string> = {
  started: (words) => `the start of ${words}`,
  done: (words) => `${words} done`,
  tick: (words) => `a tick of ${words}`,
  measured: (words) => `what was measured of ${words}`,
  dry_test: (words) => `the test of ${words}`,
  fault: (words) => `the fault on ${words}`,
  note: (words) => `the note on ${words}`,
}

/** What to do now and next over all pieces, what is drying, and which windows close. */
export default function Bench(props: BenchPage & { kept_at?: number }) {
  const { temperature, film } = useMeasures()
  const state = useBench(props, props.kept_at)
  const { bench, pieces, rooms, latest, pots, mixed, rags, read, justDone, lastUnsent, at, away, touch } = state
  const now = useNow(bench.now, at)
  const { zone } = bench
  useKeys({ " ": () => (document.querySelector("[data-space]") as HTMLButtonElement | null)?.click() })
  const name = (id: string) => pieces.find((piece) => piece.core_id === id)?.name ?? id
  const shut = bench.open_today.at(-1)?.[1]
  const [next, ...later] = bench.upcoming
  const after = bench.running.length ? bench.upcoming : later
  const large = useLarge()[0] === "on"
  const [taken, setTaken] = useState<BenchRow | null>(bench.chosen)
  const chosen = taken && (planned(bench).find(({ key }) => key === taken.key) ?? (begun(bench, taken) ? null : taken))
  const calls = callsOf(state, now)
  useCallsOf(calls, state)
  useKeptPages([...pots.map(({ path }) => path), ...Object.values(mixed)])
  const calm = useCalm()
  const afterThat = useSteady(after.slice(0, 3), ({ key }) => key, calm)
  const slabs = useSteady(bench.drying.slice(0, 10), ({ row }) => row.key, calm)
  const afterList = useRef<HTMLOListElement>(null)
  const slabList = useRef<HTMLDivElement>(null)
  useGlide(afterList)
  useGlide(slabList)
  const first = bench.drying.find(({ next_row }) => next_row)
  const head = bench.running[0] ?? next
  const aloud = head ? says(head, bench.running.length > 0, name(head.piece)) : "Nothing to do at the bench"
  useAloud(aloud)
  return (
    <Shell keys={KEYS} silentSince={away ? at : null}>
      <Head title="Bench" />
      <Patterns />
      <PageHead
        title="Bench"
        facts={
          <>
            {shut && shut > now ? `${whoWorks(bench.people)} to ${soon(shut, zone, now)}` : "Shop is shut"},{" "}
            {duration(bench.left_today_min)} of work left today.{" "}
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
      <Told
        noted={state.noted}
        moved={state.moved}
        better={state.better}
        drying={bench.drying}
        {...{ name, zone, now }}
      />
      <div className={large ? undefined : "bench-grid"}>
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
          last={lastTouch(lastUnsent, latest, name)}
          large={large}
          chosen={chosen}
          onLeave={() => setTaken(null)}
          whose={state.hands}
          tools={
            <BenchTools {...{ calls, now, zone }} hands={state.hands} everybody={state.everybody} codes={state.codes} />
          }
        />
        {!large && (
          <section className="ruled pt-2" aria-label="After that">
            <h2 className="text-head">After that</h2>
            <ol className="after-list" ref={afterList}>
              {afterThat.map(({ row, gone }) => (
                <li key={row.key} data-key={row.key} data-chosen={row.key === chosen?.key || undefined} inert={gone}>
                  <button type="button" className="after-row" onClick={() => setTaken(row)}>
                    <b>{soon(row.hands_start, zone, now)}</b>
                    <span>
                      {row.words}, {lowerFirst(name(row.piece))}
                      <span className="text-second text-fine block">{rowSays(row, film)}</span>
                    </span>
                    <span className="text-fine text-second">{duration(row.hands_min)}</span>
                  </button>
                </li>
              ))}
              {afterThat.length === 0 && <li className="text-second">Nothing more is planned.</li>}
            </ol>
            <Pots pots={pots} now={now} zone={zone} />
            <Rags rags={rags} now={now} zone={zone} onTouch={touch} />
          </section>
        )}
      </div>
      {large && first && <LargeNext slab={first} piece={name(first.row.piece)} {...{ now, zone }} />}
      {!large && (
        <>
          <section aria-label="Drying" className="mt-4">
            <div className="mb-1 flex flex-wrap items-center justify-between gap-2">
              <h2 className="text-head">Drying, soonest call on your hands first</h2>
              <StripKey />
            </div>
            <JustDone done={justDone} name={name} zone={zone} now={now} />
            {slabs.length === 0 && justDone.length === 0 ? (
              <p className="text-second thin-rule pt-3">
                Nothing is drying. What you coat stands here with its window until the next work on it.{" "}
                {pieces.length === 0 && (
                  <Link href="/pieces/new" className="underline">
                    Size up a piece
                  </Link>
                )}
              </p>
            ) : (
              <div className="drying-slabs" ref={slabList}>
                {slabs.map(({ row: slab, gone }) => {
                  const piece = pieces.find((candidate) => candidate.core_id === slab.row.piece)
                  return piece ? (
                    <Slab
                      key={slab.row.key}
                      slab={slab}
                      gone={gone}
                      piece={piece}
                      now={now}
                      zone={zone}
                      onTouch={touch}
                      canStart={bench.running.length < Math.max(bench.people.length, 1)}
                      read={read}
                      against={slab.next_row ? (bench.against[slab.next_row.key] ?? []) : []}
                      hand={bench.people[0]}
                      call={calls.find(({ id }) => id === `${slab.row.key}/opens`)}
                    />
                  ) : null
                })}
              </div>
            )}
          </section>
          <section aria-label="Hands today" className="mt-3">
            <HandsStrip bench={{ ...bench, now }} pieces={pieces} />
          </section>
        </>
      )}
    </Shell>
  )
}

/** Work that is not begun, as far as it is told. */
const planned = ({ upcoming, today, drying }: BenchPage["bench"]): BenchRow[] =>
  [...upcoming, ...today, ...drying.flatMap(({ next_row }) => next_row ?? [])].filter(
    ({ status }) => status === "planned",
  )

const begun = ({ running, today }: BenchPage["bench"], { key }: BenchRow): boolean =>
  [...running, ...today].some((row) => row.key === key && row.status !== "planned")

/** "Osei and Imke work"; a class is counted. */
const whoWorks = (people: string[]): string =>
  people.length > 3 ? `${people.length} people work` : `${people.join(" and ")} ${people.length > 1 ? "work" : "works"}`

/** What "take it back" takes back: the newest touch that stands, here or in the log. */
function lastTouch(unsent: Unsent | null, latest: Entry[], name: (id: string) => string): LastTouch | null {
  if (unsent) {
    const [kind, ...words] = unsent.words.split(", ")
    const about = lowerFirst(words.join(", ")).split(":")[0] ?? ""
    return {
      takesBack: { corrects_touch: unsent.client_id },
      words: TAKEN_BACK[unsent.kind]?.(about) ?? kind ?? "",
      piece: name(unsent.pass?.split("/")[0] ?? ""),
    }
  }
  const [entry] = [...latest].sort((one, other) => other.id - one.id)
  if (!entry) return null
  const words = lowerFirst(entry.words).split(":")[0] ?? ""
  return {
    takesBack: { corrects: entry.id },
    words: TAKEN_BACK[entry.kind]?.(words) ?? words,
    piece: name(entry.piece ?? ""),
  }
}

/** Work that was finished while the shop's computer was silent: what it dries like is not computed here. */
function JustDone({
  done,
  name,
  zone,
  now,
}: {
  done: Done[]
  name: (id: string) => string
  zone: string
  now: number
}) {
  if (done.length === 0) return null
  return (
    <ul className="just-done">
      {done.map(({ row, at }) => (
        <li key={row.key}>
          <b>{name(row.piece)}</b>, {lowerFirst(row.words)}: done {soon(at, zone, now)}. When hands may go on it is
          computed once the shop's computer answers.
        </li>
      ))}
    </ul>
  )
}

/** Whether the air of a room was read lately, or is as it was set. */
function readWords({ read, changes }: BenchPage["rooms"][number], now: number): string {
  if (!read) return changes ? "now" : "as set"
  if (read.state === "silent") return `nothing read for ${duration(now - read.at)}`
  return read.state === "jump" ? "a jump was read" : "read"
}
