import { Link, usePage } from "@inertiajs/react"
import type { ComponentType, ReactNode } from "react"
import { ErrorBoundary, type FallbackProps, withErrorBoundary } from "react-error-boundary"
import { numberOf, report } from "@/lib/faults"

/** Around a page: what broke in it is told in its place, with its number, and the places beside it go on. */
export function PageBoundary({ children }: { children: ReactNode }) {
  const { url } = usePage()
  return (
    <ErrorBoundary FallbackComponent={BrokenPage} resetKeys={[url]} onError={(error) => report(error, "This page")}>
      {children}
    </ErrorBoundary>
  )
}

function BrokenPage({ error, resetErrorBoundary }: FallbackProps) {
  return (
    <section className="ui-empty surface-lit" role="alert">
      <h1 className="text-title">This page cannot be shown</h1>
      <p className="text-second mt-2">
        Nothing was changed. Error {numberOf(error)} is in the log of the shop's computer.
      </p>
      <div className="mt-4 flex flex-wrap gap-3">
        <button type="button" className="ui-button" onClick={resetErrorBoundary}>
          Show the page again
        </button>
        <Link href="/bench" className="ui-button">
          Back to the bench
        </Link>
      </div>
    </section>
  )
}

/**
 * A drawing whose failing leaves the page around it standing.
 * @param name what it shows, as the subject of a sentence: "The film"
 */
export function drawing<Props extends object>(name: string, Drawing: ComponentType<Props>) {
  return withErrorBoundary(Drawing, {
    onError: (error) => report(error, name),
    fallbackRender: ({ error, resetErrorBoundary }) => (
      <div className="broken-drawing" role="alert">
        <p>
          {name} cannot be drawn. Error {numberOf(error)} is in the log of the shop's computer.
        </p>
        <button type="button" className="ui-button" onClick={resetErrorBoundary}>
          Draw it again
        </button>
      </div>
    ),
  })
}
