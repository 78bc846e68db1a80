import { router } from "@inertiajs/react"
import { useState } from "react"
import { ErrorText } from "@/components/ErrorText"
import { Panel } from "@/components/Panel"
import { SecretField } from "@/components/SecretField"
import { send as request } from "@/lib/api"
import { forgetPages } from "@/lib/me"
import { useSend } from "@/lib/requests"

type Props = {
  /** Whose hands the device is in; null: everybody's bench, by whoever signed in. */
  hands: string | null
  everybody: string[]
  /** Those who give a code. */
  codes: string[]
}

/** Whose bench is shown, and by whom it is touched: one choice, with a code where somebody keeps one. */
export function WhoseHands({ hands, everybody, codes }: Props) {
  const [asked, setAsked] = useState<string | null>(null)
  const [code, setCode] = useState("")
  const { send, busy, error, dismiss } = useSend()
  const take = (name: string, given?: string) =>
    send(
      () => request("POST", "/hands", { name, code: given }),
      () => {
        leave()
        void forgetPages()
        router.reload()
      },
    )
  const leave = () => {
    setAsked(null)
    setCode("")
    dismiss()
  }
  const choose = (name: string) => {
    if (codes.includes(name)) setAsked(name)
    else void take(name).then((taken) => !taken && setAsked(name))
  }
  return (
    <>
      <select
        className="ui-input bench-whose"
        aria-label="Whose bench"
        value={hands ?? ""}
        disabled={busy}
        onChange={(event) => choose(event.target.value)}
      >
        <option value="">everybody's</option>
        {everybody.map((name) => (
          <option key={name} value={name}>
            {name}
          </option>
        ))}
      </select>
      <Panel
        title={asked ? `${asked} takes over` : "Back to whoever signed in"}
        open={asked !== null}
        onOpenChange={(open) => !open && leave()}
        action={
          <button
            type="button"
            className="ui-tape"
            disabled={busy || !code}
            onClick={() => void take(asked ?? "", code)}
          >
            Take over
          </button>
        }
      >
        <form
          className="mt-3"
          onSubmit={(event) => {
            event.preventDefault()
            void take(asked ?? "", code)
          }}
        >
          <SecretField label="Code, or password" value={code} digits autoComplete="off" onChange={setCode} />
        </form>
        <ErrorText reason={error} />
      </Panel>
    </>
  )
}
