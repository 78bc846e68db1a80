import { Head, Link } from "@inertiajs/react"
import { Shell } from "@/components/Shell"

export default function Missing({ path }: { path: string }) {
  return (
    <Shell>
      <Head title="Not here" />
      <section className="empty lit">
        <h1 className="title">Nothing is kept here</h1>
        <p className="sub mt-2">
          {path} leads nowhere: the record may have been removed, or the address has a slip in it.
        </p>
        <Link href="/bench" className="button mt-4">
          Go to the bench
        </Link>
      </section>
    </Shell>
  )
}
