import { Head } from "@inertiajs/react"
import { useState } from "react"
import { ErrorText } from "@/components/ErrorText"
import { TextField } from "@/components/Field"
import { SecretField } from "@/components/SecretField"
import { send as request } from "@/lib/api"
import { useSend } from "@/lib/requests"

/** A shop that was there before people signed in, or that came as a file: somebody has to own it. */
export default function FirstOwner({ people, file }: { people: string[]; file: string }) {
  const [name, setName] = useState(people[0] ?? "")
  const [password, setPassword] = useState("")
  const [code, setCode] = useState("")
  const { send, busy, error } = useSend()
  return (
    <main className="first-shop">
      <Head title="Whose shop is it" />
      <form
        className="surface-lit first-panel"
        data-narrow
        onSubmit={(event) => {
          event.preventDefault()
          void send(
            () => request<{ location: string }>("POST", "/begin/owner", { name, password, code }),
            ({ location }) => window.location.assign(location),
          )
        }}
      >
        <h1 className="text-title">Whose shop is it?</h1>
        <p className="text-second">
          People sign in here, and nobody can yet. The owner does first, and lets the others in from the page of the
          shop.
        </p>
        <p className="text-second mt-2">
          Rhexon printed a code where it was started, and saved it in {file} on the shop's computer. Enter it here to
          show that you run that computer.
        </p>
        <div className="first-fields">
          <div className="is-whole">
            <TextField label="Code from the shop's computer" value={code} autoComplete="off" onChange={setCode} />
          </div>
          <div className="is-whole">
            <TextField label="Owner" value={name} list={people} autoComplete="username" onChange={setName} />
          </div>
          <div className="is-whole">
            <SecretField
              label="Password, 12 letters or more"
              value={password}
              autoComplete="new-password"
              onChange={setPassword}
            />
          </div>
        </div>
        <button type="submit" className="ui-tape mt-4" disabled={busy || !name.trim() || !password || !code.trim()}>
          It is mine
        </button>
        <ErrorText reason={error} />
      </form>
    </main>
  )
}
