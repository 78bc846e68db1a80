import { Link } from "@inertiajs/react"
import { useEffect, useState } from "react"
import { LevelMark } from "@/components/Marks"
import { useRunsShop } from "@/lib/me"
import { when } from "@/lib/time"
import type { Finding, Operation, Sheet } from "@/types"
import { Judge, judgedAs } from "./Judge"

const PLACES: Record<string, (product: string | null, piece: number) => string> = {
  piece: (_, piece) => `/pieces/${piece}/edit`,
  shop: () => "/shop",
  ways: (_, piece) => `/pieces/${piece}/ways`,
  trial: (_, piece) => `/trials/new?piece=${piece}`,
  colour: (_, piece) => `/boards/colour?piece=${piece}`,
  shopping: (product) => `/shelf?view=shopping&product=${product}`,
  shelf: (product) => `/shelf?view=batches&product=${product}`,
  product: (product) => `/products/${product}`,
}

/** Where a student does not come in. */
const OF_THE_SHOP = ["piece", "shop", "ways", "shopping"]

type Props = {
  sheet: Sheet
  piece: number
  /** Whether remedies that have to be planned could not be had. */
  unknown: boolean
  ready: Record<string, number | null>
  onApply: (operation: Operation, reason: string) => void
  onAsk: (operation: Operation, show?: boolean) => void
  onDrop: () => void
  onSelect: (finding: Finding) => void
  onEdit: (operation: Operation) => void
  onShop: () => void
  /** Plans remedies that were left out, too. */
  onAll: () => void
}

/** What the checks say, stops first. Holding or focusing a remedy previews it; pressing applies it. */
export function Findings({ sheet, piece, unknown, ready, onSelect, onEdit, onShop, onAll, ...asks }: Props) {
  const { onApply, onAsk, onDrop } = asks
  const runsShop = useRunsShop()
  const [judged, setJudged] = useState<Finding | null>(null)
  const firstOperation = sheet.findings
    .flatMap((finding) => finding.remedies)
    .find((remedy) => remedy.operation)?.operation
  const firstKey = firstOperation ? JSON.stringify(firstOperation) : ""
  // biome-ignore lint/correctness/useExhaustiveDependencies: asked once for each first remedy
  useEffect(() => {
    if (!firstOperation) return
    const timer = setTimeout(() => onAsk(firstOperation, false), 600)
    return () => clearTimeout(timer)
  }, [firstKey])
  const around = (
    <>
      <Silenced findings={sheet.silenced} onJudge={setJudged} />
      {judged && <Judge finding={judged} onEdit={onEdit} onShop={onShop} onClose={() => setJudged(null)} />}
    </>
  )
  if (sheet.findings.length === 0) {
    if (sheet.rows.length === 0) return null
    return (
      <section className="thin-rule pt-3" aria-label="Findings">
        <p className="text-head">Nothing stands against it</p>
        <p className="text-second">The checks looked at bonds, colour, film, air, mix, stock and date.</p>
        {around}
      </section>
    )
  }
  return (
    <section className="finding-list" aria-label="Findings">
      {sheet.findings.map((finding) => (
        <article key={`${finding.id}${finding.pass}`} className="finding-line" data-level={finding.level}>
          <LevelMark level={finding.level} />
          <div className="min-w-0">
            <h3>
              <button type="button" className="finding-title" onClick={() => onSelect(finding)}>
                {finding.level === "stop" ? "Stop: " : finding.level === "caution" ? "Caution: " : ""}
                {finding.level === "note"
                  ? finding.title
                  : finding.title.charAt(0).toLowerCase() + finding.title.slice(1)}
              </button>
            </h3>
            <p>{finding.sentence}</p>
            <Also finding={finding} />
            {finding.remedies.map((remedy) => {
              const { operation, place } = remedy
              if (!operation)
                return (
                  place &&
                  (runsShop || !OF_THE_SHOP.includes(place.name)) && (
                    <Link
                      key={remedy.label}
                      href={PLACES[place.name]?.(place.product, piece) ?? "/shelf"}
                      className="ui-button mt-2 w-full"
                    >
                      {remedy.label}
                    </Link>
                  )
                )
              const key = JSON.stringify(operation)
              const main = key === firstKey
              const date = ready[key]
              return (
                <button
                  key={key}
                  type="button"
                  className={main ? "ui-tape mt-2 w-full" : "ui-button mt-2 w-full"}
                  data-size="small"
                  data-remedy
                  onClick={() => onApply(operation, remedy.label)}
                  onFocus={() => onAsk(operation)}
                  onPointerEnter={() => onAsk(operation)}
                  onBlur={onDrop}
                  onPointerLeave={onDrop}
                >
                  {remedy.label}
                  {date !== undefined && (
                    <span className="text-fine remedy-ready">
                      {date === null
                        ? "never ready"
                        : date === sheet.ready_at
                          ? "same date"
                          : `ready ${when(date, sheet.zone)}`}
                    </span>
                  )}
                </button>
              )
            })}
            {finding.behind && !unknown && (
              <p className="text-second text-fine mt-2" role="status">
                Planning what would help
              </p>
            )}
            {finding.untried > 0 && (
              <button type="button" className="text-button" onClick={onAll}>
                {finding.untried === 1 ? "Try one more way" : `Try ${finding.untried} more ways`}
              </button>
            )}
            {finding.ruled_out.map((way) => (
              <p key={way.label} className="text-second text-fine mt-2">
                <b>{way.label}:</b> {way.why_not}.
              </p>
            ))}
            {finding.ruling && (
              <p className="text-second text-fine mt-2">
                Judged {judgedAs(finding.ruling.as)} {finding.ruling.by === "shop" ? "in this shop" : "here"}, usually{" "}
                {judgedAs(finding.ruling.was)}: {finding.ruling.reason}
              </p>
            )}
            {finding.open && (
              <button type="button" className="text-button" onClick={() => setJudged(finding)}>
                Judge otherwise
              </button>
            )}
          </div>
        </article>
      ))}
      {around}
    </section>
  )
}

/** Where else the same is found: in the same words, which are not said again, or in words of its own; a note folded. */
function Also({ finding: { also, sentence, level } }: { finding: Finding }) {
  if (also.length === 0) return null
  const other = [...new Set(also.map((one) => one.sentence))].filter((said) => said !== sentence)
  if (other.length === 0)
    return (
      <p className="text-second text-fine">
        Same for {also.length === 1 ? "one more step" : `${also.length} more steps`}, marked in the list.
      </p>
    )
  return (
    <details open={level !== "note"}>
      <summary className="text-second text-fine">{also.length === 1 ? "One more" : `${also.length} more`}</summary>
      {other.map((said) => (
        <p key={said} className="text-second">
          {said}
        </p>
      ))}
    </details>
  )
}

/** What is not told here, with the reasons, so that it can be told again. */
function Silenced({ findings, onJudge }: { findings: Finding[]; onJudge: (finding: Finding) => void }) {
  if (findings.length === 0) return null
  return (
    <div className="thin-rule pt-2 mt-3">
      <p className="text-second text-fine">Not told here:</p>
      {findings.map((finding) => (
        <button
          key={`${finding.id}${finding.pass}`}
          type="button"
          className="text-button"
          onClick={() => onJudge(finding)}
        >
          {finding.title} ({finding.ruling?.reason})
        </button>
      ))}
    </div>
  )
}
