import { Head, Link } from "@inertiajs/react"
import { ListPages } from "@/components/ListPages"
import { PageHead } from "@/components/PageHead"
import { Shell, useNow } from "@/components/Shell"
import { soon } from "@/lib/time"
import type { AuditPage } from "@/types"

const AUDIT = "/shop/audit"
const href = (refused: boolean, page = 1) => `${AUDIT}?${refused ? "refused=yes&" : ""}page=${page}`

/** Who came in, who was refused, and what was given, taken, sent out and put back. */
export default function Audit({ lines, page, refused, zone, now: first }: AuditPage) {
  const now = useNow(first)
  return (
    <Shell>
      <Head title="Audit trail" />
      <PageHead
        title="Audit trail"
        facts="Sign-ins, passwords and codes, roles, links, backups, files and settings. Nothing here can be changed."
      >
        <div className="ml-auto flex gap-3">
          <Link href="/shop" className="ui-button">
            The shop
          </Link>
          <a href={`${AUDIT}.csv${refused ? "?refused=yes" : ""}`} className="ui-button" download>
            Download as CSV
          </a>
        </div>
      </PageHead>
      <div className="audit-filter mb-3 flex gap-3">
        <Link href={href(false)} className="ui-button" data-quiet aria-current={!refused ? "page" : undefined}>
          Everything
        </Link>
        <Link href={href(true)} className="ui-button" data-quiet aria-current={refused ? "page" : undefined}>
          Refused only
        </Link>
      </div>
      {lines.length === 0 ? (
        <p className="text-second">{refused ? "Nobody was refused." : "Nothing has happened yet."}</p>
      ) : (
        <table className="audit-table">
          <caption className="sr-only">Audit trail, newest first</caption>
          <thead>
            <tr>
              {["When", "What", "Who", "By", "Device", "From"].map((head) => (
                <th key={head} scope="col">
                  {head}
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {lines.map((line) => (
              <tr key={line.id} data-refused={line.refused || undefined}>
                <td>{soon(line.at, zone, now)}</td>
                <td>
                  {line.words}
                  {line.detail && <span className="text-second text-fine"> {line.detail}</span>}
                </td>
                <td>{line.person}</td>
                <td>{line.by}</td>
                <td>{line.device}</td>
                <td>{line.address}</td>
              </tr>
            ))}
          </tbody>
        </table>
      )}
      <ListPages page={page} of="lines" href={(number) => href(refused, number)} />
    </Shell>
  )
}
