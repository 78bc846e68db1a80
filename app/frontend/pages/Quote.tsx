import { Head, Link } from "@inertiajs/react"
import { useState } from "react"
import { ErrorText } from "@/components/ErrorText"
import { PageHead } from "@/components/PageHead"
import { Shell } from "@/components/Shell"
import { send as request } from "@/lib/api"
import { usePaper } from "@/lib/paper"
import { useSend } from "@/lib/requests"
import { when } from "@/lib/time"
import { Given } from "@/quote/Given"
import { Ledger, type Term } from "@/quote/Ledger"
import { Goods, Hours } from "@/quote/Spent"
import type { QuotePage } from "@/types"

/** What a piece costs to finish: how the price comes about, and what its hours came to. */
export default function Quote(first: QuotePage) {
  const [state, setState] = useState(first)
  const [terms, setTerms] = useState(first.terms)
  const { send, busy, error } = useSend()
  const paper = usePaper()
  const { piece, phases, unpriced } = state
  const base = `/pieces/${piece.id}/quote`
  const setTerm = (term: Term, value: number) => {
    setTerms({ ...terms, [term]: value })
    void send(() => request<QuotePage>("POST", base, { terms: { [term]: value } }), setState)
  }
  const give = () => void send(() => request<QuotePage>("POST", `${base}/given`, {}), setState)
  const schedule = `/pieces/${piece.id}/schedule`
  return (
    <Shell>
      <Head title={`Quote for ${piece.name}`} />
      <PageHead
        title={`Quote for ${piece.name}`}
        facts={
          <>
            {piece.count} off, {piece.wood} · {piece.client}
            {state.closed ? " · its job is closed: this is what it came to" : ""}
            {state.ready_at && !state.closed ? ` · ready ${when(state.ready_at, state.zone)} by the plan of today` : ""}
          </>
        }
      >
        <div className="ml-auto flex flex-wrap items-end gap-3">
          <Link href={schedule} className="ui-button">
            Its schedule
          </Link>
          {phases.length > 0 && state.whole && !state.closed && (
            <>
              <a href={paper(`${base}.pdf`)} className="ui-button" target="_blank" rel="noreferrer">
                Sheet for the client (PDF)
              </a>
              <button type="button" className="ui-button" disabled={busy} onClick={give}>
                Keep it as given
              </button>
            </>
          )}
        </div>
      </PageHead>
      {phases.length === 0 ? (
        <p className="text-head">
          No steps yet, so there is nothing to reckon.{" "}
          <Link href={`/pieces/${piece.id}/ways`}>See which ways would do</Link> or{" "}
          <Link href={schedule}>write its schedule</Link>.
        </p>
      ) : (
        <div className="quote-grid">
          <section aria-label="Price" className="ruled pt-2">
            <h2 className="text-head">How the price comes about, {state.currency}</h2>
            <p className="text-second text-fine">
              Rate, waste, margin and tax are the shop's: set here, they hold for every quote.
            </p>
            <ErrorText reason={error && !(error.where in state.terms) ? error : null} />
            <Given state={state} base={base} />
            <Ledger state={state} terms={terms} busy={busy} refused={error} onTerm={setTerm} />
            {!state.whole && (
              <p className="caution-text mt-3">
                Not all of it can be planned, and what has no place is in no sum. <Link href={schedule}>Why</Link>
              </p>
            )}
            {unpriced.length > 0 && (
              <p className="caution-text mt-3">
                Not in the sum, for no price is known: {unpriced.join(", ")}.{" "}
                <Link href="/shelf">Prices stand on the shelf</Link>
              </p>
            )}
          </section>
          <div className="grid gap-6">
            <section aria-label="Hours" className="ruled pt-2">
              <h2 className="text-head">Hours of hands by phase</h2>
              <p className="text-second text-fine">
                The frame is what was reckoned, filled as far as it is done; the dark line what that took
                {state.given.length > 0 ? "; the notch what was given to the client" : ""}.
              </p>
              <Hours phases={phases} given={state.given.at(-1)?.phases ?? null} />
            </section>
            <section aria-label="Goods" className="ruled pt-2">
              <h2 className="text-head">Material and what wears out</h2>
              <Goods materials={state.materials} worn={state.worn} currency={state.currency} />
            </section>
          </div>
        </div>
      )}
    </Shell>
  )
}
