import { Link } from "@inertiajs/react"
import { useState } from "react"
import { Against } from "@/components/Against"
import { Cautions } from "@/components/Cautions"
import { Panel } from "@/components/Panel"
import { Strip } from "@/drawing/Strip"
import { woodBitmap } from "@/drawing/woodBitmap"
import { clock, duration, soon } from "@/lib/time"
import { useMeasures } from "@/lib/units"
import { type Call, RingToggle } from "@/timers/TimersPanel"
import type { Piece, Against as Said, Slab as SlabData } from "@/types"
import { FaultPanel } from "./FaultPanel"
import { Measured } from "./Measured"
import { acknowledges, type Read, unread } from "./ReadFirst"
import type { Touch } from "./touch"
import { lowerFirst } from "./words"

const HEIGHT = 92
/** The pot is weighed and the comb noted soon after the coat is on. */
const MEASURED_MIN = 120
const FILM: Record<string, string> = {
  clear: "var(--clear-2)",
  ambering: "var(--film-ambering)",
  pigmented: "var(--film-pigmented)",
  tinted: "var(--film-tinted)",
  stain: "var(--dye)",
}
const TEST: Record<string, string> = {
  recoat_opens: "Ready for the next coat?",
  sand: "Does it powder under the paper?",
  touch: "Dry to touch?",
  handle: "May it be handled?",
  rub_out: "Hard enough to rub out?",
  dust_safe: "Dust-safe?",
}

type Props = {
  slab: SlabData
  /** It is not drying any more, and keeps its place until nobody touches the page. */
  gone?: boolean
  piece: Piece
  now: number
  zone: string
  onTouch: (touch: Touch) => void
  canStart: boolean
  read: Read
  against: Said[]
  /** Who starts it where the plan names nobody. */
  hand: string | undefined
  /** Its opening, where that can be rung for. */
  call: Call | undefined
}

/**
 * A piece drying: wood, film, its windows, a pin at now. Says when hands may go on, and asks for the test that decides.
 */
export function Slab({ slab, gone = false, piece, now, zone, onTouch, canStart, read, against, hand, call }: Props) {
  const { film } = useMeasures()
  const { row, next_row } = slab
  const [reading, setReading] = useState(false)
  const person = next_row?.person ?? hand
  const fresh = next_row ? unread(next_row, read, person) : []
  const start = (next: NonNullable<typeof next_row>) =>
    onTouch({ kind: "started", pass: next.key, ...(fresh.length && person ? { person } : {}) })
  return (
    <article
      className="drying-slab"
      data-key={row.key}
      data-state={slab.state}
      inert={gone}
      aria-label={`${piece.name}: ${state(slab, zone, now)}`}
    >
      <h3 className="slab-name">
        <Link href={`/pieces/${piece.id}/schedule`}>{piece.name}</Link>
      </h3>
      <p className="slab-state">{state(slab, zone, now)}</p>
      <Drawing slab={slab} piece={piece} now={now} zone={zone} />
      <div className="slab-foot">
        <span>
          {row.words}
          {slab.state === "scuffed" ? ", scuffed" : ""}
        </span>
        <b>{slab.film_um ? `${film.text(slab.film_um)} on` : ""}</b>
        {row.laid && now - row.work_end < MEASURED_MIN && <Measured row={row} now={now} quiet onTouch={onTouch} />}
        <FaultPanel row={row} piece={piece.name} zone={zone} onTouch={onTouch} />
      </div>
      {asks(slab, now) && <DryTest slab={slab} onTouch={onTouch} />}
      {next_row && slab.state !== "too_soon" ? (
        <button
          type="button"
          className="ui-button w-full"
          data-size="bench"
          disabled={!canStart}
          onClick={() =>
            fresh.length || against.some(({ level }) => level === "stop") ? setReading(true) : start(next_row)
          }
        >
          Start {next_row.kind === "look" ? "the look" : lowerFirst(next_row.words)}
        </button>
      ) : (
        <p className="slab-off">
          <span>
            {next_row && slab.opens_at
              ? `Hands off until ${soon(slab.opens_at, zone, now)}`
              : next_row
                ? "Hands off"
                : "Nothing more to do on it"}
          </span>
          {call && <RingToggle call={call} />}
        </p>
      )}
      {reading && next_row && (
        <Panel
          title="Take care"
          open
          onOpenChange={setReading}
          action={
            <button
              type="button"
              className="ui-tape"
              onClick={() => {
                if (fresh.length) onTouch(acknowledges(next_row, person, fresh))
                start(next_row)
                setReading(false)
              }}
            >
              I have read it: start
            </button>
          }
        >
          <Against said={against} />
          <Cautions texts={fresh.map((caution) => caution.text)} />
        </Panel>
      )}
    </article>
  )
}

/** The test that decides: by the film itself, or by the glass that was left beside it. */
function DryTest({ slab, onTouch }: { slab: SlabData; onTouch: (touch: Touch) => void }) {
  const [on, setOn] = useState<"film" | "glass">("film")
  const milestone = slab.milestone ?? ""
  const answer = (said: "dry" | "not_yet") =>
    onTouch({
      kind: "dry_test",
      pass: slab.row.key,
      milestone,
      answer: said,
      ...(slab.proof?.glass ? { by: on } : {}),
    })
  return (
    <fieldset className="slab-test">
      <legend className="text-fine text-third">{slab.proof?.[on] ?? TEST[milestone] ?? "Dry?"}</legend>
      <button type="button" className="ui-button" onClick={() => answer("dry")}>
        Dry
      </button>
      <button type="button" className="ui-button" onClick={() => answer("not_yet")}>
        Not yet
      </button>
      {slab.proof?.glass && (
        <button
          type="button"
          className="ui-button slab-glass"
          data-quiet
          onClick={() => setOn(on === "film" ? "glass" : "film")}
        >
          {on === "film" ? "By the witness glass" : "By the film itself"}
        </button>
      )}
    </fieldset>
  )
}

/** The test is offered from six hours before it is due, while something waits for it. */
const asks = (slab: SlabData, now: number): boolean =>
  Boolean(slab.milestone && slab.next_row && slab.opens_at !== null && slab.opens_at - now < 360)

function state(slab: SlabData, zone: string, now: number): string {
  if (slab.state === "too_soon")
    return slab.opens_at === null
      ? "drying"
      : slab.opens_at - now < 360
        ? `opens in ${duration(slab.opens_at - now)}`
        : `opens ${soon(slab.opens_at, zone, now)}`
  if (slab.state === "shut") return slab.closes_at ? `shut since ${soon(slab.closes_at, zone, now)}` : "shut"
  if (!slab.next_row) return "dry"
  if (slab.closes_at === null) return "open"
  if (slab.state === "scuffed") return `open to ${soon(slab.closes_at, zone, now)}`
  return slab.closes_at - now < 600
    ? `closes in ${duration(slab.closes_at - now)}`
    : `open to ${soon(slab.closes_at, zone, now)}`
}

/** Where the hour of a call is written: at it, or beside the pin of now where that stands too near. */
const beside = (call: number, pin: number) => {
  const at = Math.abs(call - pin) < 24 ? (call < pin || pin > 180 ? pin - 26 : pin + 26) : call
  return Math.min(Math.max(at, 20), 200)
}

function Drawing({ slab, piece, now, zone }: Pick<Props, "slab" | "piece" | "now" | "zone">) {
  const from = slab.row.work_end
  const last = Math.max(...slab.strip.map((stretch) => stretch.to), now + 30)
  const end = Math.min(last, Math.max((slab.closes_at ?? slab.opens_at ?? now) + 180, now + 240))
  const x = (minute: number) => Math.min(Math.max((minute - from) / (end - from), 0), 1) * 220
  const film = Math.min(Math.max((slab.film_um ?? 0) / 5, 3), 22)
  const pin = x(now)
  const call = slab.state === "too_soon" ? slab.opens_at : slab.closes_at
  return (
    <svg viewBox={`-4 0 236 ${HEIGHT}`} className="w-full" role="img" aria-label={`Windows of ${piece.name}`}>
      <path d="M221 26l9 7v58l-9-7z" fill="url(#cast)" />
      <image
        href={woodBitmap(piece.wood, slab.grain, 221, 36)}
        x={0}
        y={50}
        width={221}
        height={36}
        preserveAspectRatio="none"
      />
      <rect x={0} y={50 - film} width={221} height={film} fill={FILM[slab.look] ?? FILM.clear} />
      <rect
        x={0}
        y={50 - film}
        width={221}
        height={film + 36}
        fill="none"
        stroke="var(--paper-ink)"
        strokeWidth={1.2}
      />
      <Strip strip={slab.strip.filter((stretch) => !stretch.over)} axis={{ x }} y={50 - film - 14} />
      {call && call > from && x(call) > 2 && x(call) < 219 && (
        <text x={beside(x(call), pin)} y={50 - film - 19} textAnchor="middle" className="axis-tick">
          {clock(call, zone)}
        </text>
      )}
      <path
        data-part="pin"
        d={`M${pin - 6} 2h12l-6 9zM${pin} 10V52`}
        fill="var(--tape-off)"
        stroke="var(--tape-off)"
        strokeWidth={1.6}
      />
    </svg>
  )
}
