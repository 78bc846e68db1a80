import { Head, Link, router } from "@inertiajs/react"
import { useEffect } from "react"
import { Shell } from "@/components/Shell"
import { BusyNote } from "@/components/Waiting"
import type { ErrorReason } from "@/types"

const AGAIN_MS = 2000

type Reason = ErrorReason & { number?: string }

/**
 * Why a page cannot be shown: what is missing for it, trouble that may pass, or something that was not foreseen and
 * stands in the log.
 */
export default function Refused({ error }: { error: Reason }) {
  const title = titleOf(error)
  // Asked again by itself: nobody has to sit and press.
  useEffect(() => {
    if (!error.again) return
    const timer = setInterval(() => router.reload(), AGAIN_MS)
    return () => clearInterval(timer)
  }, [error])
  return (
    <Shell>
      <Head title="Cannot be shown" />
      <section className="ui-empty surface-lit">
        <h1 className="text-title">{title}</h1>
        {error.again ? <BusyNote /> : <p className="text-second mt-2">{error.sentence}</p>}
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
  if (again) return "One moment"
  if (others) return "For somebody else"
  return number ? "Something went wrong" : "This cannot be reckoned yet"
}
