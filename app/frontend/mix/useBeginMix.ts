import { router } from "@inertiajs/react"
import { send as request } from "@/lib/api"
import { useSend } from "@/lib/requests"

/** Opens the desk with the mix for a pass; when the plan has moved on the page is read anew. */
export function useBeginMix(): (pass: string) => Promise<void> {
  const { send } = useSend()
  return async (pass) => {
    const begun = await send(
      () => request<{ location: string }>("POST", "/mix", { pass }),
      ({ location }) => router.visit(location),
    )
    if (!begun) router.reload()
  }
}
