import { Head, Link } from "@inertiajs/react"
import { useEffect } from "react"
import { PageHead } from "@/components/PageHead"
import { Shell } from "@/components/Shell"

type Props = { chapters: { id: string; title: string }[]; chapter: string; title: string; html: string }

/** A chapter of the handbook that ships with the app. */
export default function Handbook({ chapters, chapter, title, html }: Props) {
  // biome-ignore lint/correctness/useExhaustiveDependencies: a new chapter brings new places to go to
  useEffect(() => {
    document.getElementById(location.hash.slice(1))?.scrollIntoView()
  }, [chapter])
  return (
    <Shell>
      <Head title={title} />
      <PageHead title={title}>
        <nav className="ui-switch ml-auto" aria-label="Chapters">
          {chapters.map((other) => (
            <Link
              key={other.id}
              href={`/handbook/${other.id}`}
              aria-current={other.id === chapter ? "page" : undefined}
            >
              {other.title}
            </Link>
          ))}
        </nav>
      </PageHead>
      {/* biome-ignore lint/security/noDangerouslySetInnerHtml: our own text, shipped with the app */}
      <article className="handbook-text surface-lit" dangerouslySetInnerHTML={{ __html: html }} />
    </Shell>
  )
}
