import { Head, Link } from "@inertiajs/react"
import { Shell } from "@/components/Shell"
import { RecordHead } from "@/record/RecordHead"
import { ShareRow } from "@/record/ShareRow"
import type { RecursPage } from "@/types"

const RECURS = "/record/recurs"

/** Where faults come back: what share of the work, and with what, by whom, how and in which air that is more. */
export default function Recurs({ fault, whole, faults, kinds, least }: RecursPage) {
  const chosen = faults.find((one) => one.id === fault)
  return (
    <Shell>
      <Head title="What comes back" />
      <RecordHead
        here={RECURS}
        facts={`Faults on what was laid on in the last year, ${whole.works} ${whole.works === 1 ? "coat" : "coats"} in all.`}
      />
      {faults.length === 0 ? (
        <p className="text-head">
          No fault is in the record. What goes wrong at the bench is logged on its coat, and what comes back is seen
          here.
        </p>
      ) : (
        <div className="recurs-grid">
          <section aria-label="Faults" className="ruled pt-2">
            <h2 className="text-head">What goes wrong</h2>
            <ul>
              {faults.map((one) => (
                <li key={one.id} className="recurs-fault" data-state={one.id === fault ? "on" : undefined}>
                  <Link
                    href={one.id === fault ? RECURS : `${RECURS}?fault=${one.id}`}
                    aria-current={one.id === fault || undefined}
                  >
                    <b>{one.name}</b>
                    <ShareRow share={one} />
                    <span className="text-second text-fine block">{causesSay(one.causes)}</span>
                  </Link>
                  <Link href={`/record?fault=${one.id}`} className="text-button">
                    In the diary
                  </Link>
                </li>
              ))}
            </ul>
          </section>
          <div className="recurs-kinds">
            <p className="text-second text-fine">
              {chosen ? `${chosen.name} only. ` : "All faults. "}The dot is the share, the line where it may really lie
              (95 of 100); marked is only what is more or less than the other work beyond chance. Fewer than {least}{" "}
              coats tell nothing.
            </p>
            {kinds.map((kind) => (
              <section key={kind.by} aria-label={kind.name} className="ruled pt-2">
                <h2 className="text-head">{kind.name}</h2>
                <table className="recurs-shares">
                  <tbody>
                    {kind.groups.map((one) => (
                      <tr key={one.value} data-told={one.told}>
                        <th scope="row">{one.value}</th>
                        <td>
                          <ShareRow share={one} told />
                        </td>
                      </tr>
                    ))}
                  </tbody>
                </table>
              </section>
            ))}
            {kinds.length === 0 && <p>All of it was done alike, so there is nothing to hold it against.</p>}
          </div>
        </div>
      )}
    </Shell>
  )
}

/** "3 from cold air, 1 from slow solvent; else likely wet film above usual" */
function causesSay(causes: RecursPage["faults"][number]["causes"]): string {
  const said = causes.filter(({ times }) => times > 0)
  const rest = causes.filter(({ times }) => times === 0).map(({ says }) => says)
  return [
    said.map(({ says, times }) => `${times} from ${says}`).join(", "),
    rest.length > 0 ? `${said.length > 0 ? "else likely" : "likely"} ${rest.join(", ")}` : "",
  ]
    .filter(Boolean)
    .join("; ")
}
