import { type ReactNode, Suspense } from "react"

/** A menu whose scripts come after the page is drawn; its button stands there from the first, in the same place. */
export function Later({ label, children }: { label: string; children: ReactNode }) {
  const button = (
    <button type="button" className="ui-button" disabled>
      {label}
    </button>
  )
  return <Suspense fallback={button}>{children}</Suspense>
}
