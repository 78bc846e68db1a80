import { Link } from "@inertiajs/react"
import type { ListPage } from "@/types"

type Props = {
  page: ListPage
  href: (number: number) => string
  of: string
  /** What comes before and after. */
  ways?: [string, string]
}

/** The way through a long list, newest first; nothing where it is short. */
export function ListPages({ page, href, of, ways: [before, after] = ["Newer", "Older"] }: Props) {
  if (page.last === 1) return null
  return (
    <nav className="list-pages" aria-label={`Pages of ${of}`}>
      {page.number > 1 ? (
        <Link href={href(page.number - 1)} className="ui-button">
          ← {before}
        </Link>
      ) : (
        <span />
      )}
      <p className="text-second">
        Page {page.number} of {page.last}, {page.count} {of}
      </p>
      {page.number < page.last ? (
        <Link href={href(page.number + 1)} className="ui-button">
          {after} →
        </Link>
      ) : (
        <span />
      )}
    </nav>
  )
}
