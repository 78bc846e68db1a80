import { Head, Link } from "@inertiajs/react"
import { Shell } from "@/components/Shell"
import type { ErrorReason } from "@/types"

/**
 * Why a page cannot be shown: what is missing for it, trouble that may pass, or something that was not foreseen and
 * stands in the log.
 */
export default function Refused({ error }: { error: ErrorReason & { again?: boolean; number?: string } }) {
  const title = error.again ? "Not just now" : error.number ? "Something went wrong" : "This cannot be reckoned yet"
  return (
    <Shell>
      <Head title="Cannot be shown" />
      <section className="ui-empty surface-lit">
        <h1 className="text-title">{title}</h1>
        <p className="text-second mt-2">{error.sentence}</p>
        <div className="mt-4 flex flex-wrap gap-2">
          {(error.again || error.number) && (
            <button type="button" className="ui-button" onClick={() => window.location.reload()}>
              Try again
            </button>
          )}
          <Link href="/pieces" className="ui-button">
            Go to jobs and pieces
          </Link>
        </div>
      </section>
    </Shell>
  )
}
