import { useState } from "react"
import { ErrorText } from "@/components/ErrorText"
import { TextField } from "@/components/Field"
import { SecretField } from "@/components/SecretField"
import { send as request } from "@/lib/api"
import { useSend } from "@/lib/requests"

const SECOND = "/me/second"

type Offer = { secret: string; code: string; offered: string }
type Props = { on: boolean; onChange: (on: boolean) => void }

/** A second step beside one's password: six digits from an authenticator app. */
export function SecondStep({ on, onChange }: Props) {
  const [offer, setOffer] = useState<Offer | null>(null)
  const [digits, setDigits] = useState("")
  const [now, setNow] = useState("")
  const { send, busy, error } = useSend()
  const kept = ({ second_step }: { second_step: boolean }) => {
    onChange(second_step)
    setOffer(null)
    setDigits("")
    setNow("")
  }
  return (
    <section aria-label="Second step" className="ruled mt-5 pt-2">
      <h2 className="text-head">Second step</h2>
      <p className="text-second text-fine">
        {on
          ? "Signing in asks for six digits from your authenticator app after the password. If the phone is lost, a new password set on the shop's computer takes the second step away."
          : "Signing in can ask for six digits from an authenticator app on your phone after the password, so that a password alone lets nobody in."}
      </p>
      {on && (
        <div className="mt-3 grid max-w-[360px] gap-3">
          <SecretField label="Your password of today" value={now} autoComplete="current-password" onChange={setNow} />
          <button
            type="button"
            className="ui-button justify-self-start"
            disabled={busy || !now}
            onClick={() => void send(() => request<{ second_step: boolean }>("DELETE", SECOND, { now }), kept)}
          >
            Turn it off
          </button>
        </div>
      )}
      {!on && !offer && (
        <button
          type="button"
          className="ui-button mt-3"
          disabled={busy}
          onClick={() => void send(() => request<Offer>("POST", SECOND, {}), setOffer)}
        >
          Set it up
        </button>
      )}
      {offer && (
        <form
          className="made-link"
          onSubmit={(event) => {
            event.preventDefault()
            void send(
              () => request<{ second_step: boolean }>("PATCH", SECOND, { offered: offer.offered, second: digits }),
              kept,
            )
          }}
        >
          {/* biome-ignore lint/security/noDangerouslySetInnerHtml: drawn by the server from the secret alone */}
          <span className="made-code" dangerouslySetInnerHTML={{ __html: offer.code }} />
          <div className="grid gap-3">
            <p className="text-second text-fine">
              Scan it with the app, or type <b className="break-all">{offer.secret}</b> there.
            </p>
            <TextField
              label="Six digits that the app shows now"
              value={digits}
              autoComplete="one-time-code"
              onChange={setDigits}
            />
            <button type="submit" className="ui-button justify-self-start" disabled={busy || !digits.trim()}>
              Turn it on
            </button>
          </div>
        </form>
      )}
      <ErrorText reason={error} />
    </section>
  )
}
