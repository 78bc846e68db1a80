import { createInertiaApp } from "@inertiajs/react"
import { QueryClientProvider } from "@tanstack/react-query"
import { setNonce } from "get-nonce"
import { createRoot } from "react-dom/client"
import { PageBoundary } from "@/components/Broken"
import { requestClient } from "@/lib/requests"
import { guardHistory } from "@/lib/unsaved"
import { outboxOf } from "@/outbox/useOutbox"

const pages = import.meta.glob("../pages/**/*.tsx")
const client = requestClient()
// Styles that a dialog or the bar of progress adds are let in by it; others are not.
const nonce = document.querySelector<HTMLMetaElement>("meta[name=csp-nonce]")?.content
if (nonce) setNonce(nonce)
guardHistory()
// What an earlier visit left goes out, whichever page is opened.
outboxOf(client)

createInertiaApp({
  title: (title) => (title ? `${title} · Rhexon` : "Rhexon"),
  resolve: (name) => {
    const page = pages[`../pages/${name}.tsx`]
    if (!page) throw new Error(`No page ${name}`)
    return page() as never
  },
  setup: ({ el, App, props }) => {
    const page = () =>
      createRoot(el).render(
        <QueryClientProvider client={client}>
          <App {...props}>
            {({ Component, props, key }) => (
              <PageBoundary>
                <Component key={key} {...props} />
              </PageBoundary>
            )}
          </App>
        </QueryClientProvider>,
      )
    // The rail of the first bytes is painted before the page is made, which takes the device a while.
    if (document.hidden) page()
    else requestAnimationFrame(() => setTimeout(page))
  },
  nonce,
  progress: { color: "var(--tape-ink)", delay: 300 },
})

// Only where pages are whole builds, and only on a device's own computer or by TLS: browsers keep pages nowhere else.
if ("worker" in document.documentElement.dataset)
  addEventListener("load", () => {
    navigator.serviceWorker
      ?.register("/service-worker.js", { type: "module", updateViaCache: "none" })
      // The page goes on without it, as long as the shop's computer answers.
      .catch((error: unknown) => console.warn("This device keeps no pages:", error))
  })
