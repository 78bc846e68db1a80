import { Head } from "@inertiajs/react"
import { useState } from "react"
import { ErrorText } from "@/components/ErrorText"
import { PageHead } from "@/components/PageHead"
import { SecretField } from "@/components/SecretField"
import { Shell, useNow } from "@/components/Shell"
import { send as request } from "@/lib/api"
import { forgetPages, MAY, ROLE } from "@/lib/me"
import { useSend } from "@/lib/requests"
import { useShop } from "@/lib/shop"
import { soon } from "@/lib/time"
import { useOutbox } from "@/outbox/useOutbox"
import { SecondStep } from "@/shop/SecondStep"
import type { MePage } from "@/types"

const ME = "/me"

/** How somebody gets in, and where they are signed in. */
export default function MyPage(first: MePage) {
  const shop = useShop()
  const now = useNow(shop.now)
  const [state, setState] = useState(first)
  const { send, busy, error } = useSend()
  const waiting = useOutbox().unsent.length
  const leave = () =>
    void send(
      () => request<{ location: string }>("DELETE", "/sign_in"),
      ({ location }) => void forgetPages().then(() => window.location.assign(location)),
    )
  const drop = (device?: number) => void send(() => request<MePage>("DELETE", ME, { device }), setState)
  return (
    <Shell>
      <Head title={state.name} />
      <PageHead title={state.name} facts={`${ROLE[state.role]}: ${MAY[state.role]}.`}>
        <button type="button" className="ui-tape ml-auto" disabled={busy} onClick={leave}>
          Sign out here
        </button>
      </PageHead>
      {waiting > 0 && (
        <p className="text-second mb-3" role="status">
          {waiting === 1 ? "One touch waits" : `${waiting} touches wait`} to be sent from this device. Signed out, they
          stay on it and go out once somebody signs in again.
        </p>
      )}
      <ErrorText reason={error} />
      <div className="me-grid">
        {state.password ? (
          <div>
            <Secrets state={state} shop={shop.name} onKept={setState} />
            <SecondStep on={state.second_step} onChange={(second_step) => setState({ ...state, second_step })} />
          </div>
        ) : (
          <p className="text-second ruled pt-2">
            {state.role === "owner"
              ? "You have no password yet: give yourself one under People on the page of the shop."
              : "The owner of the shop gives you a first password; after that you change it here."}
          </p>
        )}
        <section aria-label="Devices" className="ruled pt-2">
          <h2 className="text-head">Signed in on</h2>
          <ul className="backup-list" data-plain>
            {state.devices.map((device) => (
              <li key={device.id}>
                <b>{device.device}</b>
                <span className="text-second">
                  {device.of && `taken over from ${device.of}, `}since {soon(device.since, shop.zone, now)}, used{" "}
                  {soon(device.seen, shop.zone, now)}
                </span>
                {device.here ? (
                  <span className="text-second">this device</span>
                ) : (
                  <button type="button" className="ui-button" disabled={busy} onClick={() => drop(device.id)}>
                    Sign it out
                  </button>
                )}
              </li>
            ))}
          </ul>
          {state.devices.length > 1 && (
            <button type="button" className="ui-button mt-3" disabled={busy} onClick={() => drop()}>
              Sign out everywhere else
            </button>
          )}
        </section>
      </div>
    </Shell>
  )
}

/** A new password, a new code. */
function Secrets({ state, shop, onKept }: { state: MePage; shop: string; onKept: (state: MePage) => void }) {
  const [today, setToday] = useState("")
  const [password, setPassword] = useState("")
  const [code, setCode] = useState("")
  const [kept, setKept] = useState("")
  const { send, busy, error } = useSend()
  const keep = () =>
    void send(
      () => request<MePage>("PATCH", ME, { now: today, password, code }),
      (next) => {
        onKept(next)
        setKept(password ? "Kept. Your other devices are signed out." : "Kept.")
        for (const clear of [setToday, setPassword, setCode]) clear("")
      },
    )
  return (
    <form
      className="ruled pt-2"
      aria-label="Password and code"
      onSubmit={(event) => {
        event.preventDefault()
        keep()
      }}
    >
      <h2 className="text-head">Password and code</h2>
      <p className="text-second text-fine">
        With the password you sign in. With the code, 4 to 8 digits, you take over a tablet at the bench that somebody
        else has signed in on; nobody works in your name without it.
      </p>
      {/* For whatever keeps passwords on this device. */}
      <input type="text" autoComplete="username" value={state.name} readOnly hidden />
      <div className="mt-3 grid max-w-[360px] gap-3">
        <SecretField label="Your password of today" value={today} autoComplete="current-password" onChange={setToday} />
        <SecretField
          label="A new password, 12 letters or more"
          value={password}
          autoComplete="new-password"
          names={[state.name, shop]}
          onChange={setPassword}
        />
        <SecretField
          label={`${state.code ? "A new code" : "A code"}, 4 to 8 digits`}
          value={code}
          digits
          autoComplete="off"
          onChange={setCode}
        />
      </div>
      <button type="submit" className="ui-button mt-3" disabled={busy || (!password && !code)}>
        Keep
      </button>
      {kept && (
        <p className="text-second mt-2" role="status">
          {kept}
        </p>
      )}
      <ErrorText reason={error} />
    </form>
  )
}
