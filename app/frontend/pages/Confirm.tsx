import { Head, Link } from "@inertiajs/react"
import { useState } from "react"
import { ErrorText } from "@/components/ErrorText"
import { SecretField } from "@/components/SecretField"
import { send as request } from "@/lib/api"
import { useSend } from "@/lib/requests"

/** The password once more, before a page that is the owner's. */
export default function Confirm({ to, name }: { to: string; name: string }) {
  const [password, setPassword] = useState("")
  const { send, busy, error } = useSend()
  return (
    <main className="first-shop">
      <Head title="Your password again" />
      <form
        className="surface-lit first-panel"
        data-narrow
        onSubmit={(event) => {
          event.preventDefault()
          void send(
            () => request("POST", "/confirm", { password }),
            () => window.location.assign(to),
          )
        }}
      >
        <h1 className="text-title">Your password again</h1>
        <p className="text-second">
          This page is for the owner. The password is asked for again in case this tablet was left lying around.
        </p>
        <div className="first-fields">
          <div className="is-whole">
            <SecretField
              label={`Password of ${name}`}
              value={password}
              autoComplete="current-password"
              onChange={setPassword}
            />
          </div>
        </div>
        <div className="mt-4 flex gap-3">
          <button type="submit" className="ui-tape" disabled={busy || !password}>
            Continue
          </button>
          <Link href="/bench" className="ui-button self-center">
            Back to the bench
          </Link>
        </div>
        <ErrorText reason={error} />
      </form>
    </main>
  )
}
