import { Head, Link } from "@inertiajs/react"
import { Shell } from "@/components/Shell"
import type { ErrorReason } from "@/types"

type Reason = ErrorReason & { number?: string }

/**
 * Why a page cannot be shown: what is missing for it, trouble that may pass, or something that was not foreseen and
 * stands in the log.
 */
export default function Refused({ error }: { error: Reason }) {
  const title = titleOf(error)
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
          <Link href={error.others ? "/bench" : "/pieces"} className="ui-button">
            {error.others ? "Go to the bench" : "Go to jobs and pieces"}
          </Link>
          {error.others && (
            <Link href="/me" className="ui-button">
              Sign in as somebody else
            </Link>
          )}
        </div>
      </section>
    </Shell>
  )
}

const titleOf = ({ again, others, number }: Reason): string => {
  if (again) return "Not just now"
  if (others) return "For somebody else"
  return number ? "Something went wrong" : "This cannot be reckoned yet"
}
