import { router } from "@inertiajs/react"
import { Refused, send } from "@/lib/api"

/** Opens the desk with the mix for a pass; when the plan has moved on the page is read anew. */
export const beginMix = (pass: string): Promise<void> =>
  send<{ location: string }>("POST", "/mix", { pass })
    .then(({ location }) => router.visit(location))
    .catch((error: unknown) => {
      if (!(error instanceof Refused)) throw error
      router.reload()
    })
