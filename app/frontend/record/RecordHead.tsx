import { Link } from "@inertiajs/react"
import type { ReactNode } from "react"
import { PageHead } from "@/components/PageHead"

const VIEWS: [string, string][] = [
  ["/record", "Diary"],
  ["/record/figures", "The shop's own figures"],
  ["/record/recurs", "What comes back"],
  ["/record/hours", "Hours and money"],
]

type Props = { here: string; facts: ReactNode; children?: ReactNode }

/** The head of the record: its views, and what can be taken out of the one that is open. */
export function RecordHead({ here, facts, children }: Props) {
  return (
    <PageHead title="Record" facts={<span className="record-facts">{facts}</span>}>
      <nav aria-label="Views of the record" className="record-views">
        {VIEWS.map(([path, words]) => (
          <Link key={path} href={path} aria-current={path === here ? "page" : undefined}>
            {words}
          </Link>
        ))}
      </nav>
      <div className="ml-auto flex gap-3">{children}</div>
    </PageHead>
  )
}
