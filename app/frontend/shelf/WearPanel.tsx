import { router } from "@inertiajs/react"
import { Dialog } from "radix-ui"
import { useState } from "react"
import { TextField } from "@/components/Field"
import { Panel } from "@/components/Panel"
import { send as request } from "@/lib/api"
import { useSend } from "@/lib/requests"
import type { Consumable } from "@/types"

const text = (value: number | null | undefined) => (value === null || value === undefined ? "" : String(value))
const number = (value: string) => (value.trim() ? Number(value.replace(",", ".")) : null)

/** A consumable: what is left, its pack, and what wears it out. */
export function WearPanel({ consumable }: { consumable?: Consumable }) {
  const [form, setForm] = useState({
    name: consumable?.name ?? "",
    unit: consumable?.unit ?? "sheet",
    pack: text(consumable?.pack ?? 1),
    price: text(consumable?.price),
    left: text(consumable?.left ?? 0),
    kinds: consumable?.wear.kinds ?? "",
    methods: consumable?.wear.methods ?? "",
    grits: consumable?.wear.grits ?? "",
    per_m2: text(consumable?.wear.per_m2),
    per_coat: text(consumable?.wear.per_coat),
  })
  const [open, setOpen] = useState(false)
  const { send, error } = useSend()
  const field = (name: keyof typeof form, label: string, placeholder?: string) => (
    <TextField
      label={label}
      value={form[name]}
      placeholder={placeholder}
      error={error?.where === name ? error.sentence : undefined}
      onChange={(value) => setForm({ ...form, [name]: value })}
    />
  )
  const { name, unit, pack, price, left, ...wear } = form
  const keep = () =>
    send(
      () =>
        request(consumable ? "PATCH" : "POST", consumable ? `/consumables/${consumable.id}` : "/consumables", {
          name,
          unit,
          pack: number(pack),
          price: number(price),
          left: number(left),
          wear,
        }),
      () => {
        setOpen(false)
        router.reload()
      },
    )
  return (
    <Panel
      title={consumable ? consumable.name : "A new consumable"}
      open={open}
      onOpenChange={setOpen}
      trigger={
        <Dialog.Trigger asChild>
          <button
            type="button"
            className="ui-button"
            data-quiet={consumable ? true : undefined}
            aria-label={consumable ? `Change ${consumable.name}` : undefined}
          >
            {consumable ? "Change" : "New"}
          </button>
        </Dialog.Trigger>
      }
      action={
        <button type="button" className="ui-tape" data-size="small" onClick={() => void keep()}>
          Keep
        </button>
      }
    >
      <div className="grid gap-3 mt-3 sm:grid-cols-3">
        {field("name", "Name")}
        {field("unit", "Counted in")}
        {field("left", "There")}
        {field("pack", "In a pack")}
        {field("price", "Price of a pack")}
        <span />
        {field("kinds", "Worn by", "sand, level, scuff, rub_out, coat, stain")}
        {field("methods", "by method", "spray, brush")}
        {field("grits", "by grit, pad or wool", "P180, wool-0000, pad-fine")}
        {field("per_m2", "Worn per m²")}
        {field("per_coat", "Worn per coat")}
      </div>
      {error && !(error.where && error.where in form) && (
        <p className="error-text mt-2" role="alert">
          {error.sentence}
        </p>
      )}
    </Panel>
  )
}
