import { createInertiaApp } from "@inertiajs/react"
import { QueryClientProvider } from "@tanstack/react-query"
import { createRoot } from "react-dom/client"
import { requestClient } from "@/lib/requests"

const pages = import.meta.glob("../pages/**/*.tsx")
const client = requestClient()

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
          <App {...props} />
        </QueryClientProvider>,
      )
    // The rail of the first bytes is painted before the page is made, which takes the device a while.
    if (document.hidden) page()
    else requestAnimationFrame(() => setTimeout(page))
  },
  progress: { color: "var(--tape-ink)", delay: 300 },
})
