import { Head, Link } from "@inertiajs/react"
import { PageHead } from "@/components/PageHead"
import { Shell, useNow } from "@/components/Shell"
import { ClientLinks } from "@/handover/ClientLinks"
import { PieceHandover } from "@/handover/PieceHandover"
import { useRunsShop } from "@/lib/me"
import { usePaper } from "@/lib/paper"
import type { HandoverPage } from "@/types"

/** What is handed over with a piece or with the pieces of a job. */
export default function Handover(page: HandoverPage) {
  const { kind, id, pieces, zone } = page
  const now = useNow(page.now)
  const student = !useRunsShop()
  const paper = usePaper()
  const base = `/${kind}s/${id}/handover`
  const names = page.names ? "yes" : "no"
  return (
    <Shell>
      <Head title={`Handover: ${page.title}`} />
      <PageHead
        title={`Handover: ${page.title}`}
        facts={
          <>
            {kind === "piece" && <>{page.client} · </>}
            {page.place && <>{page.place} · </>}
            <Link
              href={kind === "piece" ? `/pieces/${id}/schedule` : "/pieces"}
              className="underline underline-offset-2"
            >
              {kind === "piece" ? "its schedule" : "jobs and pieces"}
            </Link>
            {" · "}
            <Link href={`${base}?names=${page.names ? "no" : "yes"}`} className="underline underline-offset-2">
              {page.names ? "only what kind it is of" : "name the products"}
            </Link>
          </>
        }
      >
        {pieces.length > 0 && (
          <div className="ml-auto flex flex-wrap gap-3">
            <a href={paper(`${base}.pdf?names=${names}`)} className="ui-button" target="_blank" rel="noreferrer">
              On paper
            </a>
            <a href={paper(`${base}.pdf?only=care`)} className="ui-button" target="_blank" rel="noreferrer">
              Care sheet
            </a>
            <a href={`${base}.ics`} className="ui-button" download>
              Dates as a calendar
            </a>
            {!student && (
              <ClientLinks
                of={{ kind: "handover", [`${kind}_id`]: id }}
                first={page.links}
                now={now}
                zone={zone}
                label="Link for the client"
                names
              />
            )}
          </div>
        )}
      </PageHead>
      {page.aside.length > 0 && (
        <p className="set-aside">Left out, since it cannot be computed just now: {page.aside.join(", ")}</p>
      )}
      {pieces.length === 0 ? (
        <p className="text-head">
          Nothing is planned or laid on it yet that could be handed over.{" "}
          {kind === "piece" && <Link href={`/pieces/${id}/schedule`}>Write its schedule</Link>}
        </p>
      ) : (
        pieces.map((piece) => (
          <PieceHandover key={piece.id} piece={piece} named={kind === "job"} now={now} zone={zone} guest={false} />
        ))
      )}
    </Shell>
  )
}
