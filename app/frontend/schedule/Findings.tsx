import { Link } from "@inertiajs/react"
import { useEffect } from "react"
import { LevelMark } from "@/components/Marks"
import { when } from "@/lib/time"
import type { Finding, Operation, Sheet } from "@/types"

const PLACES: Record<string, (product: string | null, piece: number) => string> = {
  piece: (_, piece) => `/pieces/${piece}/edit`,
  trial: (_, piece) => `/trials/new?piece=${piece}`,
  colour: (_, piece) => `/boards/colour?piece=${piece}`,
  shopping: (product) => `/shelf?view=shopping&product=${product}`,
  shelf: (product) => `/shelf?view=batches&product=${product}`,
  product: (product) => `/products/${product}`,
}

type Props = {
  sheet: Sheet
  piece: number
  ready: Record<string, number | null>
  onApply: (operation: Operation, reason: string) => void
  onAsk: (operation: Operation, show?: boolean) => void
  onDrop: () => void
  onSelect: (finding: Finding) => void
}

/** What the checks say, stops first. Holding or focusing a remedy previews it; pressing applies it. */
export function Findings({ sheet, piece, ready, onApply, onAsk, onDrop, onSelect }: Props) {
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
  if (sheet.findings.length === 0) {
    if (sheet.rows.length === 0) return null
    return (
      <section className="thin-rule pt-3" aria-label="Findings">
        <p className="text-head">Nothing stands against it</p>
        <p className="text-second">The checks looked at bonds, colour, film, air, mix, stock and date.</p>
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
            {finding.remedies.map((remedy) => {
              const { operation, place } = remedy
              if (!operation)
                return (
                  place && (
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
          </div>
        </article>
      ))}
    </section>
  )
}
