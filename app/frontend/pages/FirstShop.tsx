import { Head, useForm } from "@inertiajs/react"
import { ErrorText } from "@/components/ErrorText"
import { SelectField, TextField } from "@/components/Field"
import { SecretField } from "@/components/SecretField"
import { sendFile } from "@/lib/api"
import { useSend } from "@/lib/requests"

type Props = { zones: string[] }

const here = () => Intl.DateTimeFormat().resolvedOptions().timeZone

/** The first page of a shop: what a plan cannot do without, and nothing else. All of it can be changed later. */
export default function FirstShopPage({ zones }: Props) {
  const form = useForm({
    name: "",
    person: "",
    password: "",
    zone: zones.includes(here()) ? here() : "Europe/Berlin",
    room: "workshop",
    t_c: "20",
    rh: "50",
    opens: "08:00",
    closes: "17:00",
  })
  const { send, busy, error } = useSend()
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
              label="Password of the owner, 8 letters or more"
              value={form.data.password}
              autoComplete="new-password"
              error={form.errors.password}
              onChange={(value) => form.setData("password", value)}
            />
          </div>
          <div>
            <SelectField
              label="Time zone"
              value={form.data.zone}
              error={form.errors.zone}
              options={zones.map((zone): [string, string] => [zone, zone.replaceAll("_", " ")])}
              onChange={(zone) => form.setData("zone", zone)}
            />
          </div>
          {field("room", "Room")}
          <div className="is-third">{field("t_c", "Its air, °C")}</div>
          <div className="is-third">{field("rh", "Its air, % RH")}</div>
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
