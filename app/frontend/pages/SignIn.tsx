import { Head } from "@inertiajs/react"
import { useEffect, useState } from "react"
import { ErrorText } from "@/components/ErrorText"
import { TextField } from "@/components/Field"
import { SecretField } from "@/components/SecretField"
import { send as request } from "@/lib/api"
import { forgetPages, MAY, type Me, ROLE } from "@/lib/me"
import { useSend } from "@/lib/requests"

type Props = {
  to: string
  /** People of the demo, who need no password on its own machine. */
  demo: Me[] | null
}

/** Who is at this device. */
export default function SignIn({ to, demo }: Props) {
  const [name, setName] = useState("")
  const [password, setPassword] = useState("")
  const [second, setSecond] = useState("")
  const { send, busy, error } = useSend()
  useEffect(() => {
    void forgetPages()
  }, [])
  const enter = (body: object) =>
    void send(
      () => request<{ location: string }>("POST", "/sign_in", { ...body, to }),
      ({ location }) => window.location.assign(location),
    )
  return (
    <main className="first-shop">
      <Head title="Sign in" />
      <form
        className="surface-lit first-panel"
        data-narrow
        onSubmit={(event) => {
          event.preventDefault()
          enter({ name, password, second })
        }}
      >
        <h1 className="text-title">Who is here?</h1>
        <div className="first-fields">
          <div className="is-whole">
            <TextField label="Name" value={name} autoComplete="username" onChange={setName} />
          </div>
          <div className="is-whole">
            <SecretField label="Password" value={password} autoComplete="current-password" onChange={setPassword} />
          </div>
          {(error?.where === "second" || second) && (
            <div className="is-whole">
              <TextField
                label="Six digits from your authenticator app"
                value={second}
                autoComplete="one-time-code"
                onChange={setSecond}
              />
            </div>
          )}
        </div>
        <button type="submit" className="ui-tape mt-4" disabled={busy || !name.trim() || !password}>
          Sign in
        </button>
        <ErrorText reason={error} />
        {demo && (
          <section aria-label="People of the demo" className="thin-rule mt-5 pt-3">
            <h2 className="text-head">Or look at the demo as</h2>
            <ul className="demo-people">
              {demo.map((person) => (
                <li key={person.name}>
                  <button type="button" className="ui-button" disabled={busy} onClick={() => enter(person)}>
                    {person.name}
                  </button>
                  <span className="text-second text-fine">
                    {ROLE[person.role]}: {MAY[person.role]}
                  </span>
                </li>
              ))}
            </ul>
          </section>
        )}
      </form>
    </main>
  )
}
