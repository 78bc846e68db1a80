import { Cautions } from "@/components/Cautions"
import type { BenchRow } from "@/types"
import type { Touch } from "./touch"

export type Read = Record<string, Record<string, string[]>>

/** Cautions of a pass that this person has not read for this job. */
export const unread = (row: BenchRow, read: Read, person: string | undefined) => {
  if (!person) return []
  const known = read[row.piece]?.[person] ?? []
  return row.cautions.filter((caution) => !known.includes(caution.id))
}

export const acknowledges = (row: BenchRow, person: string | undefined, cautions: BenchRow["cautions"]): Touch => ({
  kind: "acknowledged",
  pass: row.key,
  cautions: [...new Set(cautions.map((caution) => caution.id))],
  ...(person ? { person } : {}),
})

/** What to take care of: in full until it is read, then by its names, and in full again where somebody asks. */
export function CareFor({ row, fresh }: { row: BenchRow; fresh: BenchRow["cautions"] }) {
  const known = row.cautions.filter((caution) => !fresh.includes(caution))
  return (
    <>
      <Cautions texts={fresh.map((caution) => caution.text)} />
      {known.length > 0 && (
        <details className="care-known">
          <summary>Take care: {[...new Set(known.map((caution) => caution.name))].join(", ")}</summary>
          {known.map((caution) => (
            <p key={caution.text}>{caution.text}</p>
          ))}
        </details>
      )}
    </>
  )
}
