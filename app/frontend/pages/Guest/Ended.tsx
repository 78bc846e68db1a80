import { Head } from "@inertiajs/react"

/** A link that shows nothing any more, or never did. */
export default function Ended() {
  return (
    <main className="first-shop">
      <Head title="This link has ended" />
      <div className="surface-lit first-panel" data-narrow>
        <h1 className="text-title">This link shows nothing any more</h1>
        <p className="text-second mt-2">Ask whoever sent it to you for a new one.</p>
      </div>
    </main>
  )
}
