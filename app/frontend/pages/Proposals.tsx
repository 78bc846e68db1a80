import { Head, Link, router } from "@inertiajs/react"
import { useState } from "react"
import { ErrorText } from "@/components/ErrorText"
import { PageHead } from "@/components/PageHead"
import { Shell } from "@/components/Shell"
import { send as request } from "@/lib/api"
import { useSend } from "@/lib/requests"
import { when } from "@/lib/time"
import { type Clock, Days, ProposalRow } from "@/proposals/ProposalRow"
import { Standing } from "@/proposals/Standing"
import { useWays } from "@/proposals/useWays"
import { Wishes } from "@/proposals/Wishes"
import type { Proposal, ProposalsPage, Wish } from "@/types"

/** From a wish to a schedule: ways that come to it in today's shop, and why the others do not. */
export default function Proposals({ piece, zone, currency, now, wish: first, weights, asks, assumed }: ProposalsPage) {
  const [wish, setWish] = useState<Wish>(first)
  const [open, setOpen] = useState<string | null>(null)
  const base = `/pieces/${piece.id}/ways`
  const { ways, answer, chances, error, reckoning } = useWays(piece.id, wish)
  const { send, busy, error: refused } = useSend()
  const go = (way: "choice" | "trial") => (proposal: Proposal) =>
    void send(
      () => request<{ location: string }>("POST", `${base}/${way}`, { wish, system: proposal.id }),
      ({ location }) => router.visit(location),
    )
  const standing = answer?.standing ?? null
  const due = wish.due ? Math.round(Date.parse(wish.due) / 60000) : piece.due
  const clock: Clock = {
    from: now,
    to: Math.max(now + 1440, standing?.ready_at ?? 0, ...ways.map((one) => one.ready_at)),
    most: Math.max(60, ...[...ways, ...(standing ? [standing] : [])].flatMap((one) => one.film.map(([, um]) => um))),
    now,
    zone,
    due,
  }
  const wanted = { ...asks, ...wish.least }
  return (
    <Shell>
      <Head title={`Ways for ${piece.name}`} />
      <PageHead
        title={`Ways for ${piece.name}`}
        facts={
          <>
            {piece.count} off, {piece.wood} · {piece.client}
            {piece.due ? ` · due ${when(piece.due, zone)}` : ""}
          </>
        }
      >
        <div className="ml-auto flex flex-wrap items-end gap-3">
          <Link href={`/pieces/${piece.id}/edit`} className="ui-button">
            Piece: use, faces, date
          </Link>
          <Link href={`/pieces/book?piece=${piece.id}`} className="ui-button">
            Recipe book
          </Link>
          <Link href={`/pieces/${piece.id}/schedule`} className="ui-button">
            {piece.steps ? "Its schedule" : "Write it myself"}
          </Link>
        </div>
      </PageHead>
      <div className="ways-grid">
        <Wishes
          wish={wish}
          piece={piece.id}
          zone={zone}
          due={due}
          weights={weights}
          currency={currency}
          standing={standing}
          asks={asks}
          target={answer?.target_hex ?? null}
          onWish={(change) => setWish((before) => ({ ...before, ...change }))}
        />
        <section aria-label="What is proposed" aria-live="polite" aria-busy={reckoning}>
          <ErrorText reason={refused ?? error} />
          {assumed.length > 0 && <p className="text-second text-fine mb-1">Assumed: {assumed.join("; ")}.</p>}
          {piece.begun && (
            <p className="caution-text mb-1">
              Work on it is begun: what is in the log stays, and each way goes on from there.
            </p>
          )}
          {answer?.remarks.map((words) => (
            <p key={words} className="caution-text mb-1">
              {words}
            </p>
          ))}
          {ways.length === 0 && reckoning && !error && <p className="text-second">Trying twenty ways in this shop</p>}
          {ways.length > 0 && <Days clock={clock} />}
          {answer?.late && <p className="caution-text mb-2">None is ready in time: these are the soonest.</p>}
          {answer && ways.length === 0 && (
            <p className="text-head">Nothing comes to that. What fell out says which wish costs what.</p>
          )}
          <ul data-reckoning={reckoning || undefined} className="ways">
            {standing && <Standing standing={standing} clock={clock} currency={currency} />}
            {ways.map((proposal) => (
              <ProposalRow
                key={proposal.id}
                proposal={proposal}
                clock={clock}
                currency={currency}
                asks={wanted}
                chance={due === null ? null : (chances[proposal.id] ?? null)}
                target={wish.lab ? (answer?.target_hex ?? null) : null}
                open={open === proposal.id}
                busy={busy}
                onOpen={() => setOpen(open === proposal.id ? null : proposal.id)}
                onChoose={() => go("choice")(proposal)}
                onTry={() => go("trial")(proposal)}
              />
            ))}
          </ul>
          {answer && answer.fallen.length > 0 && (
            <section aria-label="What fell out" className="ruled mt-4 pt-2">
              <h2 className="text-head">What fell out</h2>
              <ul className="fell-out text-second">
                {answer.fallen.map(({ name, reason }) => (
                  <li key={name}>
                    <b>{name}:</b> {reason}
                  </li>
                ))}
              </ul>
            </section>
          )}
        </section>
      </div>
    </Shell>
  )
}
