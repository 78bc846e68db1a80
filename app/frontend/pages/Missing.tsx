import { Head, Link } from "@inertiajs/react"
import { Shell } from "@/components/Shell"

export default function Missing({ path }: { path: string }) {
  return (
    <Shell>
      <Head title="Not here" />
      <section className="ui-empty surface-lit">
        <h1 className="text-title">Nothing is kept here</h1>
        <p className="text-second mt-2">
          {path} leads nowhere: the record may have been removed, or the address has a slip in it.
        </p>
        <Link href="/bench" className="ui-button mt-4">
          Go to the bench
        </Link>
      </section>
    </Shell>
  )
}
