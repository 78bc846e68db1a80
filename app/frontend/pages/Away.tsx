import { Head, Link } from "@inertiajs/react"
import { Shell } from "@/components/Shell"
import { useReturn } from "@/outbox/useReturn"

/** In the place of a page that is not kept on this device, while the shop's computer does not answer. */
export default function Away() {
  useReturn(true)
  return (
    <Shell>
      <Head title="No answer" />
      <section className="ui-empty surface-lit">
        <h1 className="text-title">The shop's computer does not answer</h1>
        <p className="text-second mt-2">
          This page is not kept on this device. The bench, mixes and boards that were opened here, and the record of
          today go on without it; what you do there is kept and sent later, in its order.
        </p>
        <div className="mt-4 flex flex-wrap gap-2">
          <Link href="/bench" className="ui-tape">
            Go to the bench
          </Link>
          <button type="button" className="ui-button" onClick={() => window.location.reload()}>
            Try again
          </button>
        </div>
      </section>
    </Shell>
  )
}
