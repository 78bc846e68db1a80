import { Head, Link, router } from "@inertiajs/react"
import { ErrorText } from "@/components/ErrorText"
import { LevelMark, Tick } from "@/components/Marks"
import { PageHead } from "@/components/PageHead"
import { Shell } from "@/components/Shell"
import { send as request } from "@/lib/api"
import { usePaper } from "@/lib/paper"
import { useAnswer } from "@/lib/requests"
import { clock, duration, soon } from "@/lib/time"
import { useMeasures } from "@/lib/units"
import { useOutbox } from "@/outbox/useOutbox"
import type { DayPage } from "@/types"

/** What is touched here is answered with the bench. */
const PLACE = "/bench"

type Evening = DayPage["evening"][number]

type Night = {
  room: string
  set_c: number
  held_c: number
  work: string
  piece: string
  set_at: number
  held_at: number | null
  minutes: number
}

/** The two ends of the day: what the morning has to know, each one's list, and what the evening has to do. */
export default function Day({ morning, evening, lists, closes, opens, rags, now, zone }: DayPage) {
  const { box, unsent } = useOutbox()
  const paper = usePaper()
  const here = unsent.filter(({ place, refused }) => place === PLACE && refused === undefined)
  const say = (body: Record<string, unknown>, words: string) =>
    void box
      .add({ place: PLACE, path: "/entries", body: { ...body, happened_at: new Date().toISOString() }, words })
      .then((outcome) => "answer" in outcome && router.reload())
  const left = here.some(({ body }) => body.kind === "rags") ? null : rags
  const seen = (item: Evening) => item.seen || here.some(({ body }) => body.item === item.words)
  const chores = evening.filter(({ kind }) => kind !== "first")
  const toDo = chores.filter((item) => !seen(item)).length
  return (
    <Shell>
      <Head title="Morning and evening" />
      <PageHead
        title="Morning and evening"
        facts={
          closes === null
            ? `Nobody is there today${opens ? `; hands are there again ${soon(opens, zone, now)}` : ""}.`
            : `Hands are there to ${clock(closes, zone)}${opens ? `, and again ${soon(opens, zone, now)}` : ""}.`
        }
      >
        <div className="ml-auto flex gap-3">
          <a href={paper("/bench/day/sheet")} className="ui-button" target="_blank" rel="noreferrer">
            Day sheets, on paper
          </a>
          <Link href="/bench" className="ui-button">
            Bench
          </Link>
        </div>
      </PageHead>
      <div className="day-grid">
        <section aria-label="Morning" className="ruled pt-2">
          <h2 className="panel-title">Morning</h2>
          <Items items={morning} none="Nothing has changed over night, and nothing shuts today." />
          {lists.map(({ person, works }) => (
            <section key={person} aria-label={person} className="day-list">
              <h3 className="text-head">
                {person}{" "}
                {works.length > 0 && (
                  <a
                    href={paper(`/bench/day/sheet?person=${encodeURIComponent(person)}`)}
                    className="quiet-link text-fine"
                    target="_blank"
                    rel="noreferrer"
                  >
                    on paper
                  </a>
                )}
              </h3>
              {works.length === 0 && <p className="text-second">Nothing is planned.</p>}
              <ol>
                {works.map((work) => (
                  <li key={`${work.at} ${work.words} ${work.piece}`}>
                    <b>{work.running ? "in hand" : clock(work.at, zone)}</b>
                    <span>
                      {work.words}
                      <span className="text-second text-fine block">{work.piece}</span>
                    </span>
                    <span className="text-second">{duration(work.min)}</span>
                  </li>
                ))}
              </ol>
            </section>
          ))}
        </section>
        <section aria-label="Evening" className="ruled pt-2">
          <h2 className="panel-title">Evening</h2>
          {left && (
            <div className="day-rags">
              <LevelMark level="stop" />
              <p>
                <b>Rags are not dealt with</b>: {left.join(", ")}. Flat outdoors on what does not burn, or under water
                in a closed metal can. The day stays open until then.
              </p>
              <button
                type="button"
                className="ui-button"
                data-size="bench"
                onClick={() => say({ kind: "rags" }, "Rags dealt with")}
              >
                Dealt with
              </button>
            </div>
          )}
          <ul className="day-ticks">
            {chores.map((item) => (
              <li key={item.words} data-kind={item.kind}>
                <button
                  type="button"
                  aria-pressed={seen(item)}
                  disabled={seen(item)}
                  aria-label={`${item.words} Seen to`}
                  onClick={() => say({ kind: "seen_to", item: item.words }, `Seen to: ${item.words}`)}
                >
                  {seen(item) && <Tick size={24} />}
                </button>
                <span>{item.words}</span>
              </li>
            ))}
          </ul>
          <p className="day-closes" role="status">
            {chores.length === 0 && !left
              ? "Nothing was laid on today, so nothing is to be cleaned."
              : left
                ? "The day is open until the rags are dealt with."
                : toDo === 0
                  ? "All is seen to: the day is closed."
                  : `${toDo} of ${chores.length} still to be seen to.`}
          </p>
          <Items items={evening.filter(({ kind }) => kind === "first")} none="" />
          <Nights zone={zone} now={now} />
        </section>
      </div>
    </Shell>
  )
}

function Items({ items, none }: { items: DayPage["morning"]; none: string }) {
  if (items.length === 0) return none ? <p className="text-second">{none}</p> : null
  return (
    <ul className="day-items">
      {items.map((item) => (
        <li key={item.words} data-kind={item.kind}>
          {item.words}
        </li>
      ))}
    </ul>
  )
}

/** Heater on or off over night, in minutes of tomorrow. */
function Nights({ zone, now }: { zone: string; now: number }) {
  const { temperature } = useMeasures()
  const { answer, error } = useAnswer({
    key: ["nights"],
    ask: (signal) => request<{ nights: Night[] }>("GET", "/bench/day/night", undefined, signal),
  })
  return (
    <section aria-label="Heater" className="day-list" aria-busy={!answer && !error}>
      <h3 className="text-head">The heater over night</h3>
      <ErrorText reason={error} />
      {!answer && !error && <p className="text-second">Planning the night with it and without</p>}
      {answer?.nights.length === 0 && (
        <p className="text-second">Nothing that dries tonight waits for it: leave it as it is set.</p>
      )}
      <ul className="day-items">
        {answer?.nights.map((night) => (
          <li key={night.room}>
            <b>{night.room}</b> falls to {temperature.text(night.set_c)}. {night.piece},{" "}
            {night.work.replace(/^./, (letter) => letter.toLowerCase())}:{" "}
            {night.minutes > 0 && night.held_at !== null ? (
              <>
                from {soon(night.set_at, zone, now)}; kept at {temperature.text(night.held_c)} from{" "}
                {soon(night.held_at, zone, now)}. <b>{duration(night.minutes)} of tomorrow gained.</b>
              </>
            ) : (
              "can go on no sooner for the heater. Nothing is gained."
            )}
          </li>
        ))}
      </ul>
    </section>
  )
}
