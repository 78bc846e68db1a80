import { useEffect, useRef, useState } from "react"
import { confirmBy, send as request } from "@/lib/api"
import { useMe } from "@/lib/me"
import { useSend } from "@/lib/requests"
import { ErrorText } from "./ErrorText"
import { Panel } from "./Panel"
import { SecretField } from "./SecretField"

/** Asks for the password again where what was sent is the owner's and it was given too long ago; then it goes on. */
export function ConfirmPassword() {
  const me = useMe()
  const [open, setOpen] = useState(false)
  const [password, setPassword] = useState("")
  const { send, busy, error, dismiss } = useSend()
  const answer = useRef<(given: boolean) => void>(() => {})
  useEffect(() => {
    confirmBy(
      () =>
        new Promise((resolve) => {
          answer.current = resolve
          setOpen(true)
        }),
    )
    return () => confirmBy(() => Promise.resolve(false))
  }, [])
  const close = (given: boolean) => {
    setOpen(false)
    setPassword("")
    dismiss()
    answer.current(given)
  }
  const give = () =>
    void send(
      () => request("POST", "/confirm", { password }),
      () => close(true),
    )
  return (
    <Panel
      title="Your password again"
      open={open}
      onOpenChange={(next) => !next && close(false)}
      leave="Cancel"
      action={
        <button type="button" className="ui-tape" disabled={busy || !password} onClick={give}>
          Continue
        </button>
      }
    >
      <form
        onSubmit={(event) => {
          event.preventDefault()
          give()
        }}
      >
        <p className="text-second mt-2 mb-3">
          This is for the owner. The password is asked for again in case this tablet was left lying around. It is good
          for ten minutes.
        </p>
        <SecretField
          label={`Password of ${me?.name ?? "whoever signed in"}`}
          value={password}
          autoComplete="current-password"
          onChange={setPassword}
        />
      </form>
      <ErrorText reason={error} />
    </Panel>
  )
}
