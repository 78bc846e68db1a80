import { Head, useForm } from "@inertiajs/react"
import { useState } from "react"
import { ErrorText } from "@/components/ErrorText"
import { SelectField, TextField } from "@/components/Field"
import { MeasureField } from "@/components/MeasureField"
import { SecretField } from "@/components/SecretField"
import { sendFile } from "@/lib/api"
import { useSend } from "@/lib/requests"
import { temperatureIn } from "@/lib/units"
import { countryHere, countryName, currencyName, type ShopCountry, zoneName } from "@/shop/regions"

type Props = { zones: string[]; countries: ShopCountry[]; currencies: string[] }

const here = () => Intl.DateTimeFormat().resolvedOptions().timeZone
const ROOM_C = "20"

/** The first page of a shop: what a plan cannot do without, and nothing else. All of it can be changed later. */
export default function FirstShopPage({ zones, countries, currencies }: Props) {
  const [country, setCountry] = useState(() => countryHere(countries))
  const form = useForm({
    name: "",
    person: "",
    password: "",
    zone: zones.includes(here()) ? here() : (country?.zones[0] ?? "Etc/UTC"),
    units: country?.units ?? "metric",
    currency: country?.currency ?? "EUR",
    room: "workshop",
    t_c: ROOM_C,
    rh: "50",
    opens: "08:00",
    closes: "17:00",
  })
  const { send, busy, error } = useSend()
  const choose = (code: string) => {
    const next = countries.find((candidate) => candidate.code === code)
    if (!next) return
    setCountry(next)
    form.setData((before) => ({
      ...before,
      units: next.units,
      currency: next.currency,
      zone: next.zones.includes(before.zone) ? before.zone : (next.zones[0] ?? before.zone),
    }))
  }
  const field = (name: keyof typeof form.data, label: string, placeholder?: string) => (
    <TextField
      label={label}
      value={form.data[name]}
      placeholder={placeholder}
      error={form.errors[name]}
      onChange={(value) => form.setData(name, value)}
    />
  )
  return (
    <main className="first-shop">
      <Head title="Begin a shop" />
      <form
        className="surface-lit first-panel"
        onSubmit={(event) => {
          event.preventDefault()
          form.post("/begin")
        }}
      >
        <h1 className="text-title">Begin your shop</h1>
        <p className="text-second">
          A plan needs a place with its air, hours, and a pair of hands: yours, who let the others in. Everything here
          can be changed later, and nothing is kept until you begin. If you had a shop on this computer, put a backup
          back instead (bin/rhexon-shop restore).
        </p>
        <div className="first-fields">
          {field("name", "Name of the shop", "Tarn Yard Finishing")}
          {field("person", "Who owns it", "your name")}
          <div>
            <SecretField
              label="Password of the owner, 12 letters or more"
              value={form.data.password}
              autoComplete="new-password"
              error={form.errors.password}
              onChange={(value) => form.setData("password", value)}
            />
          </div>
          <div>
            <SelectField
              label="Country"
              value={country?.code ?? ""}
              options={[
                ...(country ? [] : [["", "choose a country"] as [string, string]]),
                ...countries
                  .map(({ code }): [string, string] => [code, countryName(code)])
                  .sort((one, other) => one[1].localeCompare(other[1])),
              ]}
              onChange={choose}
            />
          </div>
          <div>
            <SelectField
              label="Time zone"
              value={form.data.zone}
              error={form.errors.zone}
              options={zones.map((zone): [string, string] => [zone, zoneName(zone)])}
              onChange={(zone) => form.setData("zone", zone)}
            />
          </div>
          {field("room", "Room")}
          <div className="is-third">
            <SelectField
              label="Units"
              value={form.data.units}
              error={form.errors.units}
              options={[
                ["metric", "metric"],
                ["us", "US"],
              ]}
              onChange={(units) => form.setData("units", units as "metric" | "us")}
            />
          </div>
          <div className="is-third">
            <SelectField
              label="Currency"
              value={form.data.currency}
              error={form.errors.currency}
              options={currencies.map((code): [string, string] => [code, currencyName(code)])}
              onChange={(currency) => form.setData("currency", currency)}
            />
          </div>
          <div className="is-third">
            <MeasureField
              label="Room temperature"
              measure={temperatureIn(form.data.units)}
              value={form.data.t_c}
              error={form.errors.t_c}
              onChange={(t_c) => form.setData("t_c", t_c)}
            />
          </div>
          <div className="is-third">{field("rh", "Relative humidity, %")}</div>
          <div className="is-third">{field("opens", "Monday to Friday from")}</div>
          <div className="is-third">{field("closes", "to")}</div>
        </div>
        <button type="submit" className="ui-tape mt-4" disabled={form.processing}>
          Begin
        </button>
        <p className="mt-5">
          <label className="ui-button photo-button" aria-busy={busy}>
            {busy ? "Taking it in" : "Or take in a shop from its file"}
            <input
              type="file"
              accept=".zip,application/zip"
              className="sr-only"
              disabled={busy}
              onChange={(event) => {
                const file = event.target.files?.[0]
                event.target.value = ""
                if (file)
                  void send(
                    () => sendFile("/begin/archive", file),
                    () => window.location.assign("/bench"),
                  )
              }}
            />
          </label>
        </p>
        <p className="text-second text-fine">A file of up to 32 MB; a larger one by bin/rhexon-shop import.</p>
        <ErrorText reason={error} />
      </form>
    </main>
  )
}
