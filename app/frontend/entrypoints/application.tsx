import { createInertiaApp } from "@inertiajs/react"
import { createRoot } from "react-dom/client"

const pages = import.meta.glob("../pages/**/*.tsx")

createInertiaApp({
  title: (title) => (title ? `${title} · Rhexon` : "Rhexon"),
  resolve: (name) => {
    const page = pages[`../pages/${name}.tsx`]
    if (!page) throw new Error(`No page ${name}`)
    return page() as never
  },
  setup: ({ el, App, props }) => createRoot(el).render(<App {...props} />),
  progress: { color: "#0a4e86", delay: 300 },
})
