import { Head, Link, router } from "@inertiajs/react"
import { useState } from "react"
import { ErrorText } from "@/components/ErrorText"
import { ListPages } from "@/components/ListPages"
import { LevelMark } from "@/components/Marks"
import { PageHead } from "@/components/PageHead"
import { priorityTold } from "@/components/priority"
import { Shell } from "@/components/Shell"
import { TakeInFile } from "@/components/TakeInFile"
import { woodBitmap } from "@/drawing/woodBitmap"
import { send } from "@/lib/api"
import { useRunsShop } from "@/lib/me"
import { useAnswer, useSend } from "@/lib/requests"
import { useShop } from "@/lib/shop"
import { day, when } from "@/lib/time"
import { useMeasures } from "@/lib/units"
import { JobPanel, useJob } from "@/shop/JobPanel"
import type { PiecesPage } from "@/types"

/** A piece that came as a file, and what is otherwise here than it was there. */
type Taken = { location: string; told: string[] }

/** Jobs in hand and their pieces, each with how far it is and when it will be ready. */
export default function PiecesIndex({ jobs, closed, removed, page, now }: PiecesPage) {
  const { area } = useMeasures()
  const { zone } = useShop()
  const runsShop = useRunsShop()
  const [taken, setTaken] = useState<Taken | null>(null)
  const takeIn = (answer: Taken) => {
    if (answer.told.length === 0) return router.visit(answer.location)
    setTaken(answer)
    router.reload()
  }
  const { answer: behind } = useAnswer({
    key: ["levels", now],
    ask: (signal) =>
      send<{ levels: Record<string, Record<string, number>> }>("GET", "/pieces/levels", undefined, signal),
    on: jobs.some((job) => job.pieces.some((piece) => piece.levels === null)),
    quiet: true,
  })
  return (
    <Shell>
      <Head title="Jobs and pieces" />
      <PageHead title="Jobs and pieces" facts="Choose a piece to see its schedule.">
        {jobs.length > 0 && runsShop && (
          <div className="ml-auto flex flex-wrap gap-2">
            <TakeInFile path="/pieces/file" label="A piece as a file" matched onTaken={takeIn} />
            <Link href="/pieces/book" className="ui-button">
              Recipe book
            </Link>
            <Link href="/pieces/area" className="ui-button">
              Large area
            </Link>
            <Link href="/pieces/plan" className="ui-button">
              Shop plan
            </Link>
            <Link href="/pieces/new" className="ui-button">
              New piece
            </Link>
          </div>
        )}
      </PageHead>
      {taken && (
        <p className="mb-3" role="status">
          Taken in. {taken.told.join("; ")}. <Link href={taken.location}>See its schedule</Link>
        </p>
      )}
      {jobs.length === 0 && !runsShop && (
        <section className="ui-empty surface-lit">
          <h2 className="panel-title">No piece of yours yet</h2>
          <p className="text-second">Whoever leads the class gives you one: it stands here then, with its schedule.</p>
        </section>
      )}
      {jobs.length === 0 && runsShop && (
        <section className="ui-empty surface-lit">
          <h2 className="panel-title">No piece yet</h2>
          <p className="text-second">
            A piece has a wood, faces with their areas, and what it must stand up to. From that Rhexon reckons film,
            material and hours.
          </p>
          <Link href="/pieces/new" className="ui-tape mt-4">
            Size up the first piece
          </Link>
          <TakeInFile path="/pieces/file" label="A piece as a file" matched onTaken={takeIn} />
        </section>
      )}
      {jobs.map((job) => (
        <section key={job.id} className="mb-8" aria-labelledby={`job-${job.id}`}>
          <div className="ruled flex flex-wrap items-baseline gap-x-5 pt-2">
            <h2 id={`job-${job.id}`} className="panel-title">
              {job.client}
            </h2>
            <p className="text-second">{job.due ? `due ${day(job.due, zone)}` : "no date asked for"}</p>
            {job.priority !== "normal" && <p className="text-head">{priorityTold(job.priority)}</p>}
            {runsShop && <JobPanel job={job} />}
            {job.pieces.length > 0 && runsShop && (
              <Link href={`/jobs/${job.id}/handover`} className="quiet-link target">
                Handover
              </Link>
            )}
            {runsShop && (
              <Link href={`/pieces/new?job_id=${job.id}`} className="quiet-link target ml-auto">
                Add a piece to this job
              </Link>
            )}
          </div>
          <ul className="piece-list">
            {job.pieces.map((piece) => (
              <li key={piece.id}>
                <Link href={`/pieces/${piece.id}/schedule`} className="piece-card">
                  <Slab piece={piece} />
                  <span className="text-head">{piece.name}</span>
                  <span className="text-second">
                    {piece.count} off, {piece.wood}, {area.text(piece.area_m2, 1)}
                    {piece.look ? `, ${piece.look}` : ""}
                    {piece.priority !== job.priority ? `, ${priorityTold(piece.priority) || "normal priority"}` : ""}
                  </span>
                  <span className="piece-ready">
                    {piece.aside
                      ? "Set aside"
                      : piece.steps === 0
                        ? "No steps yet"
                        : piece.ready_at
                          ? `Ready ${when(piece.ready_at, zone)}`
                          : "No date can be given"}
                  </span>
                  {piece.aside ? (
                    <span className="text-second text-fine">{piece.aside.split(" Accepted:")[0]}</span>
                  ) : (
                    <span className="piece-levels text-second text-fine">
                      {piece.done} of {piece.passes} {piece.passes === 1 ? "pass" : "passes"} done
                      {["stop", "caution"].map((level) =>
                        (piece.levels ?? behind?.levels[piece.id])?.[level] ? (
                          <LevelMark key={level} level={level} size={18} />
                        ) : null,
                      )}
                    </span>
                  )}
                </Link>
              </li>
            ))}
          </ul>
        </section>
      ))}
      {closed.length > 0 && (
        <details className="ruled pt-2" open={page.number > 1}>
          <summary className="text-head target cursor-pointer">Closed jobs, {page.count}</summary>
          <ul>
            {closed.map((job) => (
              <ClosedJob key={job.id} job={job} zone={zone} />
            ))}
          </ul>
          <ListPages page={page} href={(number) => `/pieces?closed=${number}`} of="closed jobs" />
        </details>
      )}
      {removed.length > 0 && (
        <details className="ruled pt-2">
          <summary className="text-head target cursor-pointer">Deleted and archived pieces, {removed.length}</summary>
          <ul>
            {removed.map((piece) => (
              <RemovedPiece key={piece.id} piece={piece} zone={zone} />
            ))}
          </ul>
        </details>
      )}
    </Shell>
  )
}

function RemovedPiece({ piece, zone }: { piece: PiecesPage["removed"][number]; zone: string }) {
  const { send: ask, busy, error } = useSend()
  return (
    <li className="thin-rule flex flex-wrap items-center gap-x-5 py-2">
      <b>{piece.name}</b>
      <span className="text-second">
        {piece.client}, {piece.archived ? "archived" : "deleted"} {day(piece.at, zone)}
      </span>
      <button
        type="button"
        className="ui-button ml-auto"
        disabled={busy}
        onClick={() =>
          void ask(
            () => send("DELETE", `/pieces/${piece.id}/removal`),
            () => router.reload(),
          )
        }
      >
        Restore piece
      </button>
      <ErrorText reason={error} />
    </li>
  )
}

/** The piece as a slab of its wood; finished work is laid over it from the left. */
function Slab({ piece }: { piece: PiecesPage["jobs"][number]["pieces"][number] }) {
  const done = piece.passes ? piece.done / piece.passes : 0
  return (
    <svg viewBox="0 0 260 47" className="w-full" aria-hidden="true">
      <image
        href={woodBitmap(piece.wood, piece.faces[0]?.grain ?? "closed", 260, 34)}
        x={0}
        y={12}
        width={260}
        height={34}
        preserveAspectRatio="none"
      />
      <rect x={0} y={6} width={260 * done} height={7} fill="var(--clear-1)" stroke="var(--film-line)" />
      <rect x={0.5} y={12} width={259} height={33.5} fill="none" stroke="var(--ink)" />
    </svg>
  )
}

function ClosedJob({ job, zone }: { job: PiecesPage["closed"][number]; zone: string }) {
  const { change, error } = useJob(job.id)
  return (
    <li className="thin-rule flex flex-wrap items-center gap-x-5 py-2">
      <b>{job.client}</b>
      <span className="text-second">
        {job.pieces.join(", ")}, closed {day(job.closed_at, zone)}
      </span>
      <Link href={`/jobs/${job.id}/handover`} className="quiet-link target ml-auto">
        Handover
      </Link>
      <button type="button" className="ui-button" onClick={() => void change({ closed: false })}>
        Take it in hand again
      </button>
      <ErrorText reason={error} />
    </li>
  )
}
