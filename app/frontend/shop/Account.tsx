import { useState } from "react"
import { ErrorText } from "@/components/ErrorText"
import { SelectField } from "@/components/Field"
import { Panel } from "@/components/Panel"
import { SecretField } from "@/components/SecretField"
import { send as request } from "@/lib/api"
import { MAY, ROLE, type Role } from "@/lib/me"
import { useSend } from "@/lib/requests"
import type { PersonHours, ShopPage } from "@/types"

type Props = { person: PersonHours; onKept: (props: ShopPage) => void }

/** How somebody gets in and what they may do: given and taken by the owner. */
export function Account({ person, onKept }: Props) {
  const [open, setOpen] = useState(false)
  const [role, setRole] = useState<Role>(person.role)
  const [password, setPassword] = useState("")
  const [code, setCode] = useState("")
  const { send, busy, error, dismiss } = useSend()
  const path = `/shop/person/${person.id}/account`
  const kept = (props: ShopPage) => {
    onKept(props)
    setOpen(false)
    setPassword("")
    setCode("")
  }
  const change = (next: boolean) => {
    setOpen(next)
    setRole(person.role)
    dismiss()
  }
  return (
    <>
      <button type="button" className="ui-button" data-quiet onClick={() => change(true)}>
        {ROLE[person.role]}, {waysIn(person)}
      </button>
      <Panel
        title={`What ${person.name} may do`}
        open={open}
        onOpenChange={change}
        action={
          <button
            type="button"
            className="ui-tape"
            disabled={busy || (role === person.role && !password && !code)}
            onClick={() => void send(() => request<ShopPage>("PATCH", path, { role, password, code }), kept)}
          >
            Keep
          </button>
        }
      >
        <div className="mt-3 grid gap-3">
          <SelectField
            label="Role"
            value={role}
            options={(Object.keys(ROLE) as Role[]).map((one) => [one, `${ROLE[one]}: ${MAY[one]}`])}
            onChange={(next) => setRole(next as Role)}
          />
          <SecretField
            label={person.signs_in ? "A new password" : "A password to sign in with, 12 letters or more"}
            value={password}
            autoComplete="new-password"
            names={[person.name]}
            onChange={setPassword}
          />
          <SecretField
            label={person.has_code ? "A new code for the bench" : "A code for the bench, 4 to 8 digits"}
            value={code}
            digits
            autoComplete="off"
            onChange={setCode}
          />
          {(person.signs_in || person.has_code) && (
            <button
              type="button"
              className="ui-button justify-self-start"
              disabled={busy}
              onClick={() => void send(() => request<ShopPage>("DELETE", path), kept)}
            >
              Sign {person.name} out everywhere and take password and code away
            </button>
          )}
        </div>
        <ErrorText reason={error} />
      </Panel>
    </>
  )
}

const waysIn = ({ signs_in, has_code }: PersonHours): string =>
  signs_in ? `signs in${has_code ? ", has a code" : ""}` : has_code ? "has a code" : "cannot sign in yet"
