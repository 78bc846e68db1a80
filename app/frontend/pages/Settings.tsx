import { Head, Link } from "@inertiajs/react"
import { useState } from "react"
import { SelectField, TextField } from "@/components/Field"
import { PageHead } from "@/components/PageHead"
import { Shell } from "@/components/Shell"
import { send as request } from "@/lib/api"
import { useSend } from "@/lib/requests"
import { discardUnsaved, useUnsaved } from "@/lib/unsaved"
import { useFields } from "@/lib/useFields"
import { currencyName, zoneName } from "@/shop/regions"
import type { SettingsPage } from "@/types"

const FIELDS = ["name", "zone", "currency", "units", "address", "better_plan"] as const

/** What the shop is called, where it is, how it counts, and by which address its devices reach it. */
export default function Settings(first: SettingsPage) {
  const [saved, setSaved] = useState(first)
  const [fields, set] = useFields(() => Object.fromEntries(FIELDS.map((field) => [field, first[field]])) as Settings)
  const { send, busy, error } = useSend()
  const [told, setTold] = useState("")
  const changed = FIELDS.filter((field) => fields[field] !== saved[field])
  useUnsaved(changed.length > 0)
  const save = () =>
    void send(
      () =>
        request<SettingsPage>("PATCH", "/shop/settings", Object.fromEntries(changed.map((one) => [one, fields[one]]))),
      (next) => {
        setSaved(next)
        setTold("Settings saved.")
        discardUnsaved()
        // Name, zone and units stand around every page.
        if (changed.some((field) => !["address", "better_plan"].includes(field))) window.location.reload()
      },
    )
  const at = (where: string) => (error?.where === where ? error.sentence : undefined)
  return (
    <Shell>
      <Head title="Shop settings" />
      <PageHead
        title="Shop settings"
        facts={
          <Link href="/shop" className="underline underline-offset-2">
            {saved.name}
          </Link>
        }
      />
      <form
        className="bench-form"
        onSubmit={(event) => {
          event.preventDefault()
          save()
        }}
      >
        <fieldset>
          <legend className="text-head">Shop</legend>
          <div className="form-row">
            <TextField label="Name" value={fields.name} error={at("name")} onChange={(name) => set({ name })} />
            <SelectField
              label="Time zone"
              value={fields.zone}
              error={at("zone")}
              options={first.zones.map((zone): [string, string] => [zone, zoneName(zone)])}
              onChange={(zone) => set({ zone })}
            />
          </div>
          {fields.zone !== saved.zone && (
            <p className="text-second text-fine">Opening hours and due days keep their local times in the new zone.</p>
          )}
        </fieldset>
        <fieldset>
          <legend className="text-head">Units and money</legend>
          <div className="form-row">
            <SelectField
              label="Units on new devices"
              value={fields.units}
              error={at("units")}
              options={[
                ["metric", "metric: µm, ml, m², °C"],
                ["us", "US: mil, fl oz, ft², °F"],
              ]}
              onChange={(units) => set({ units: units as SettingsPage["units"] })}
            />
            <SelectField
              label="Currency"
              value={fields.currency}
              error={at("currency")}
              options={first.currencies.map((code): [string, string] => [code, currencyName(code)])}
              onChange={(currency) => set({ currency })}
            />
          </div>
          {fields.currency !== saved.currency && (
            <p className="caution-text" role="status">
              Prices are not converted: what says 10 {saved.currency} will say 10 {fields.currency}. Check product
              prices and the hourly rate.
            </p>
          )}
        </fieldset>
        <fieldset>
          <legend className="text-head">Shop plan</legend>
          <div className="form-row">
            <SelectField
              label="When a better plan is found"
              value={fields.better_plan}
              error={at("better_plan")}
              options={[
                ["ask", "ask first"],
                ["night", "use it while the shop is closed"],
              ]}
              onChange={(better) => set({ better_plan: better as SettingsPage["better_plan"] })}
            />
          </div>
          <p className="text-second text-fine">
            The plan only moves when something happens. When things are quiet, Rhexon looks for a better one.
          </p>
        </fieldset>
        <fieldset>
          <legend className="text-head">Address for other devices</legend>
          <div className="form-row">
            <TextField
              label="Shop address (optional)"
              value={fields.address}
              placeholder={first.addresses[0] ?? first.here}
              error={at("address")}
              onChange={(address) => set({ address })}
            />
          </div>
          <p className="text-second text-fine">
            Links for clients and the codes on labels use it. Empty: the address in your browser, now {first.here}.
            {first.addresses.length > 0 && ` This computer in your network: ${first.addresses.join(", ")}.`}
          </p>
        </fieldset>
        {error && !FIELDS.includes(error.where as (typeof FIELDS)[number]) && (
          <p className="error-text" role="alert">
            {error.sentence}
          </p>
        )}
        <div className="flex items-center gap-3">
          <button type="submit" className="ui-tape" disabled={busy || changed.length === 0}>
            Save settings
          </button>
          <span className="text-second" role="status">
            {changed.length === 0 ? told : ""}
          </span>
        </div>
      </form>
    </Shell>
  )
}

type Settings = Pick<SettingsPage, (typeof FIELDS)[number]>
