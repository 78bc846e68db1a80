import { Link } from "@inertiajs/react"
import { type ReactNode, useState } from "react"
import { Against } from "@/components/Against"
import { priorityTold } from "@/components/priority"
import { clock, duration, soon } from "@/lib/time"
import { useMeasures } from "@/lib/units"
import { useSettled } from "@/lib/useSettled"
import { useBeginMix } from "@/mix/useBeginMix"
import { PhotoButton } from "@/photo/PhotoButton"
import { spotsSay } from "@/schedule/spots"
import type { BenchPage, BenchRow, Piece } from "@/types"
import { DropsDone, dropsSay, LookAnswers, Readings, TestAnswers } from "./Answers"
import { ByWhom } from "./ByWhom"
import { DoneEarlier } from "./DoneEarlier"
import { LargeHead } from "./Large"
import { Measured } from "./Measured"
import { PieceRack } from "./PieceRack"
import { acknowledges, CareFor, type Read, unread } from "./ReadFirst"
import type { Touch } from "./touch"
import { lowerFirst, rowSays } from "./words"

type Props = {
  people: string[]
  running: BenchRow[]
  next: BenchRow | undefined
  pieces: Piece[]
  mixed: Record<string, string>
  read: Read
  against: BenchPage["bench"]["against"]
  now: number
  zone: string
  onTouch: (touch: Touch) => void
  last: LastTouch | null
  /** Whose bench it is; null: everybody's. */
  whose: string | null
  /** How it is shown and called out: large, aloud, timers. */
  tools: ReactNode
  /** To be read at two metres. */
  large: boolean
  /** Work that was chosen before its turn, and the way back to what is next. */
  chosen: BenchRow | null
  onLeave: () => void
}

/** What a hand touched last and may take back. */
export type LastTouch = { takesBack: Pick<Touch, "corrects" | "corrects_touch">; words: string; piece: string }

/** What is in hand, or what hands should take up now: one tape button, the rest beside it. */
export function InHand({
  people,
  running,
  next,
  pieces,
  mixed,
  read,
  against,
  now,
  zone,
  onTouch,
  last,
  whose,
  tools,
  large,
  chosen: taken,
  onLeave,
}: Props) {
  const { film } = useMeasures()
  const row = taken ?? running[0] ?? next
  const [chosen, setChosen] = useState<{ key: string; person: string } | null>(null)
  const asks = row ? unread(row, read, chosen?.key === row.key ? chosen.person : (row.person ?? people[0])).length : 0
  const settled = useSettled(`${row?.key} ${running.length} ${asks}`)
  const settling = settled ? {} : { disabled: true, "data-settling": true }
  const takeBack = last && (
    <button
      type="button"
      className="ui-button"
      data-size="bench"
      onClick={() => onTouch({ kind: "correction", ...last.takesBack })}
    >
      <span>
        Take back: {last.words}
        <span className="text-second text-fine block">{last.piece}</span>
      </span>
    </button>
  )
  if (!row)
    return (
      <section className="in-hand surface-lit" aria-label="In hand">
        <h2 className="panel-title">Nothing to do at the bench</h2>
        <p className="text-second">
          {whose
            ? `No work is planned for ${whose}. What others do stands on everybody's bench.`
            : "No schedule has work left. Write a schedule for a piece, and its work appears here at its hour."}
        </p>
        <div className="in-hand-tools">
          {pieces.length === 0 && (
            <Link href="/pieces/new" className="ui-tape">
              Size up the first piece
            </Link>
          )}
          {takeBack}
          {tools}
        </div>
      </section>
    )
  const piece = pieces.find((candidate) => candidate.core_id === row.piece)
  const inHand = !taken && running.length > 0
  const person = chosen?.key === row.key ? chosen.person : (row.person ?? people[0])
  const fresh = inHand ? [] : unread(row, read, person)
  const setUp = row.work_start - row.hands_start
  const dueNow = row.hands_start <= now + 5
  return (
    <section className={large ? "large-view" : "in-hand surface-lit"} aria-label="In hand">
      {large ? (
        <LargeHead {...{ row, inHand, film, now, zone }} piece={piece?.name ?? ""} />
      ) : (
        <header className="flex items-start gap-4">
          <div className="min-w-0">
            <h2 className="in-hand-title">
              {taken ? "Selected: " : inHand ? "In hand: " : dueNow ? "Now: " : "Next: "}
              {row.kind === "look" ? "look" : lowerFirst(row.words)}
            </h2>
            <p className="text-second">
              {piece ? (
                <Link href={`/pieces/${piece.id}/schedule`} className="underline underline-offset-2">
                  {piece.name}
                </Link>
              ) : null}
              , {row.count} off · {row.room}
              {piece && piece.priority !== "normal" ? ` · ${priorityTold(piece.priority)}` : ""}
              {inHand && row.person && people.length > 1 ? ` · ${row.person}` : ""}
            </p>
            <p className="text-head mt-1">{rowSays(row, film)}</p>
            {row.asks && <p className="text-head">{row.asks}</p>}
            {row.spot_mix && <p className="text-head">{spotsSay(row.spot_mix)}</p>}
            {row.drops && <p className="text-head">{dropsSay(row.drops)}</p>}
          </div>
          <div className="ml-auto text-right">
            <p className="in-hand-clock">
              {inHand ? duration(now - row.hands_start) : dueNow ? "now" : soon(row.hands_start, zone, now)}
            </p>
            <p className="text-second text-fine">
              {inHand
                ? `since ${soon(row.hands_start, zone, now)}, plan ${duration(row.hands_min)}`
                : `${duration(row.hands_min)} of hands`}
            </p>
            {row.laid && setUp > 0 && (
              <p className="text-second text-fine">
                {inHand && row.work_start <= now ? "first stroke" : "set up, first stroke"}{" "}
                {clock(row.work_start, zone)}
              </p>
            )}
          </div>
        </header>
      )}
      {row.count > 1 && <PieceRack key={row.key} row={row} inHand={inHand} onTouch={onTouch} />}
      {!inHand && row.waits_until !== null && row.waits_until > now && (
        <p className="text-second mt-2">Waits for what is below to dry, until {soon(row.waits_until, zone, now)}.</p>
      )}
      {row.rests && !large && <p className="text-second mt-1">{row.rests}</p>}
      {!inHand && <Against said={against[row.key] ?? []} />}
      <CareFor row={row} fresh={fresh} />
      <div className="in-hand-side">
        {!inHand && people.length > 1 && (
          <ByWhom people={people} person={person} onChoose={(name) => setChosen({ key: row.key, person: name })} />
        )}
        {tools}
        {taken && (
          <button type="button" className="ui-button" onClick={onLeave}>
            Back to {running.length > 0 ? "work in hand" : "next task"}
          </button>
        )}
      </div>
      <div className="in-hand-tools">
        {fresh.length > 0 ? (
          <button
            type="button"
            className="ui-tape"
            data-space
            {...settling}
            onClick={() => onTouch(acknowledges(row, person, fresh))}
          >
            I have read it
            <span className="text-fine">space</span>
          </button>
        ) : row.reads ? (
          <Readings key={`${row.key}/reads`} row={row} reads={row.reads} now={now} onTouch={onTouch} />
        ) : row.answers ? (
          <TestAnswers row={row} answers={row.answers} onTouch={onTouch} />
        ) : inHand && row.drops?.expected ? (
          <DropsDone key={`${row.key}/drops`} row={row} expected={row.drops.expected} onTouch={onTouch} />
        ) : row.round === null ? (
          <button
            type="button"
            className="ui-tape"
            data-space
            {...settling}
            onClick={() =>
              onTouch(
                inHand || row.sits_on
                  ? { kind: "done", pass: row.key, ...(!inHand && person ? { person } : {}) }
                  : { kind: "started", pass: row.key, ...(person ? { person } : {}) },
              )
            }
          >
            {inHand ? "Done" : row.sits_on ? "Coat applied" : "Start"}
            <span className="text-fine">space</span>
          </button>
        ) : (
          <LookAnswers row={row} onTouch={onTouch} />
        )}
        {row.laid && !inHand && setUp > 0 && fresh.length === 0 && (
          <button
            type="button"
            className="ui-button"
            data-size="bench"
            onClick={() => onTouch({ kind: "started", from: "stroke", pass: row.key, ...(person ? { person } : {}) })}
          >
            All set up: first stroke
          </button>
        )}
        {row.laid_on_ml !== null && !inHand && <MixIt row={row} page={mixed[row.key]} />}
        {inHand && row.laid && <Measured key={`${row.key}/measured`} row={row} now={now} onTouch={onTouch} />}
        {!row.reads && !row.answers && row.round === null && row.count === 1 && fresh.length === 0 && (
          <DoneEarlier key={`${row.key}/earlier`} {...{ row, inHand, person, now, zone, onTouch }} />
        )}
        {inHand && <InHandPhoto key={`${row.key}/photo`} pass={row.key} />}
        {takeBack}
      </div>
    </section>
  )
}

/** A photo of the work in hand goes into its log. */
function InHandPhoto({ pass }: { pass: string }) {
  const [kept, setKept] = useState(0)
  return (
    <span>
      <PhotoButton of={{ pass }} label="Photo" size="bench" onPhoto={() => setKept(kept + 1)} />
      <span role="status" className="text-second text-fine block">
        {kept > 0 && (kept === 1 ? "Photo kept in the log" : `${kept} photos kept in the log`)}
      </span>
    </span>
  )
}

/** The mix for the pass: to begin, or where it stands. */
function MixIt({ row, page }: { row: BenchRow; page?: string }) {
  const begin = useBeginMix()
  return page ? (
    <Link href={page} className="ui-button" data-size="bench">
      Its pot
    </Link>
  ) : (
    <button type="button" className="ui-button" data-size="bench" onClick={() => void begin(row.key)}>
      Mix it
    </button>
  )
}
