import { Head, Link, router } from "@inertiajs/react"
import { useState } from "react"
import { ErrorText } from "@/components/ErrorText"
import { PageHead } from "@/components/PageHead"
import { Shell } from "@/components/Shell"
import { send as request } from "@/lib/api"
import { useAnswer, useSend } from "@/lib/requests"
import { when } from "@/lib/time"
import { type Clock, Days, ProposalRow } from "@/proposals/ProposalRow"
import { Wishes } from "@/proposals/Wishes"
import type { Proposal, ProposalsAnswer, ProposalsPage, Wish } from "@/types"

const QUIET_MS = 120

/** From a wish to a schedule: ways that come to it in today's shop, and why the others do not. */
export default function Proposals({ piece, zone, currency, now, wish: first, weights, asks }: ProposalsPage) {
  const [wish, setWish] = useState<Wish>(first)
  const [open, setOpen] = useState<string | null>(null)
  const base = `/pieces/${piece.id}/ways`
  const { answer, error } = useAnswer({
    key: ["ways", piece.id, wish],
    ask: (signal) => request<ProposalsAnswer>("POST", base, { wish }, signal),
    keep: true,
    after: QUIET_MS,
  })
  const { send, busy, error: refused } = useSend()
  const choose = (proposal: Proposal) =>
    void send(
      () => request<{ location: string }>("POST", `${base}/choice`, { wish, system: proposal.id }),
      ({ location }) => router.visit(location),
    )
  const ways = answer?.proposals ?? []
  const clock: Clock = {
    from: now,
    to: Math.max(now + 1440, ...ways.map((one) => one.ready_at)),
    most: Math.max(60, ...ways.flatMap((one) => one.film.map(([, um]) => um))),
    now,
    zone,
    due: piece.due,
  }
  return (
    <Shell>
      <Head title={`Ways for ${piece.name}`} />
      <PageHead
        title={`Ways for ${piece.name}`}
        facts={
          <>
            {piece.count} off, {piece.wood} · {piece.client}
            {piece.due ? ` · wanted ${when(piece.due, zone)}` : ""}. Each is planned into the shop as it stands; nothing
            is changed by looking.
          </>
        }
      >
        <div className="ml-auto flex flex-wrap items-end gap-3">
          <Link href={`/pieces/${piece.id}/edit`} className="ui-button">
            Piece: use, faces, date
          </Link>
          <Link href={`/pieces/book?piece=${piece.id}`} className="ui-button">
            From the recipe book
          </Link>
          <Link href={`/pieces/${piece.id}/schedule`} className="ui-button">
            {piece.steps ? "Its schedule" : "Write it myself"}
          </Link>
        </div>
      </PageHead>
      <div className="ways-grid">
        <Wishes
          wish={wish}
          wanted={first.lab ?? null}
          weights={weights}
          onWish={(change) => setWish({ ...wish, ...change })}
        />
        <section aria-label="What is proposed" aria-live="polite" aria-busy={!answer}>
          <ErrorText reason={refused ?? error} />
          {piece.begun && (
            <p className="caution-text mb-2">
              Work on it is begun: what is in the log stays, and each way goes on from there.
            </p>
          )}
          {!answer && !error && <p className="text-second">Trying twenty ways in this shop</p>}
          {ways.length > 0 && <Days clock={clock} />}
          {answer?.late && <p className="caution-text mb-2">None is ready in time: these are the soonest.</p>}
          {answer && ways.length === 0 && (
            <p className="text-head">Nothing comes to that. What fell out says which wish costs what.</p>
          )}
          <ul>
            {ways.map((proposal) => (
              <ProposalRow
                key={proposal.id}
                proposal={proposal}
                clock={clock}
                currency={currency}
                asks={asks}
                target={wish.lab ? piece.target_hex : null}
                open={open === proposal.id}
                busy={busy}
                onOpen={() => setOpen(open === proposal.id ? null : proposal.id)}
                onChoose={() => choose(proposal)}
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
