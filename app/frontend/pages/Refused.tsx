import { Head, Link } from "@inertiajs/react"
import { Shell } from "@/components/Shell"
import type { ErrorSaid } from "@/types"

export default function Refused({ error }: { error: ErrorSaid }) {
  return (
    <Shell>
      <Head title="Cannot be shown" />
      <section className="empty lit">
        <h1 className="title">This cannot be reckoned yet</h1>
        <p className="sub mt-2">{error.sentence}</p>
        <Link href="/pieces" className="button mt-4">
          Go to jobs and pieces
        </Link>
      </section>
    </Shell>
  )
}
