import { router } from "@inertiajs/react"
import { useState } from "react"
import { inkOn } from "@/colour/ink"
import { SelectField, TextField } from "@/components/Field"
import { Panel } from "@/components/Panel"
import { send as request } from "@/lib/api"
import { useSend } from "@/lib/requests"
import { useFields } from "@/lib/useFields"
import { METHODS } from "@/schedule/words"
import type { Method, ProductPage } from "@/types"

type Props = { url: string; colour: NonNullable<ProductPage["colour"]> }

const numbers = (typed: string): number[] => (typed.replaceAll(",", ".").match(/-?\d+(\.\d+)?/g) ?? []).map(Number)

/** What it does to four woods, and how the shop teaches it that: a wood read before it, and read again with it on. */
export function OwnColour({ url, colour }: Props) {
  const { send, error } = useSend()
  const shown = colour.way === "film" ? "Two coats on" : "On"
  const forget = () =>
    send(
      () => request("DELETE", url),
      () => router.reload(),
    )
  return (
    <section aria-label="Its colour" className="mt-4">
      <div className="flex items-center">
        <h2 className="text-head">Its colour</h2>
        <span className="ml-auto">
          <FromReading url={url} colour={colour} />
        </span>
      </div>
      <ul className="own-colour" aria-label="On four woods">
        {colour.fields.map((field) => (
          <li
            key={field.wood}
            style={{
              background: `linear-gradient(to right, ${field.bare} 30%, ${field.made} 30%)`,
              color: inkOn(field.lightness),
            }}
          >
            {field.wood}
          </li>
        ))}
      </ul>
      <p className="text-second text-fine">
        {colour.known
          ? `${shown} bare wood, by day. ${colour.source ?? "By its class, an estimate"}.`
          : "It has no colour figures: looks leave it out and say so."}
      </p>
      {colour.own && (
        <button type="button" className="ui-button" data-quiet onClick={() => void forget()}>
          Forget these figures
        </button>
      )}
      {error && (
        <p className="error-text" role="alert">
          {error.sentence}
        </p>
      )}
    </section>
  )
}

function FromReading({ url, colour }: Props) {
  const [open, setOpen] = useState(false)
  const { send, error, busy } = useSend()
  const [fields, set] = useFields(() => ({
    wood: "oak",
    bare: "",
    read: "",
    percent: "100",
    coats: "1",
    method: colour.coats[0] ?? "",
  }))
  const film = colour.way === "film"
  const errorAt = (where: string) => (error?.where === where ? error.sentence : undefined)
  const take = () =>
    send(
      () =>
        request("POST", url, {
          wood: fields.wood,
          bare: fields.bare.trim() ? numbers(fields.bare) : null,
          read: numbers(fields.read),
          ...(film
            ? { coats: numbers(fields.coats)[0] ?? null, method: fields.method }
            : { percent: numbers(fields.percent)[0] ?? null }),
        }),
      () => {
        setOpen(false)
        router.reload()
      },
    )
  return (
    <>
      <button type="button" className="ui-button" data-size="small" onClick={() => setOpen(true)}>
        From a reading
      </button>
      <Panel
        title="Its colour from a reading"
        open={open}
        onOpenChange={setOpen}
        leave="Cancel"
        action={
          <button type="button" className="ui-tape" disabled={busy} onClick={() => void take()}>
            Take it
          </button>
        }
      >
        <p className="text-second mt-2">
          {film
            ? "Read a bare board, lay it on, let it dry, and read the same place again."
            : "Read a bare board sanded to P180, stain it, let it dry, and read the same place again, uncoated."}
        </p>
        <div className="grid gap-3 mt-3">
          <SelectField
            label="Wood"
            value={fields.wood}
            options={colour.woods.map((wood) => [wood, wood])}
            onChange={(wood) => set({ wood })}
            error={errorAt("wood")}
          />
          <TextField
            label="Bare, L* a* b* (left open: a mean board)"
            value={fields.bare}
            placeholder="67.5 6.5 20.5"
            onChange={(bare) => set({ bare })}
            error={errorAt("bare")}
          />
          <TextField
            label="With it on, L* a* b*"
            value={fields.read}
            placeholder="48 10 24"
            onChange={(read) => set({ read })}
            error={errorAt("read")}
          />
          {film ? (
            <>
              <TextField
                label="Coats"
                value={fields.coats}
                onChange={(coats) => set({ coats })}
                error={errorAt("coats")}
              />
              <SelectField
                label="Laid on"
                value={fields.method}
                options={colour.coats.map((method) => [method, METHODS[method as Method]])}
                onChange={(method) => set({ method })}
              />
            </>
          ) : (
            <TextField
              label="Strength, % of its stock"
              value={fields.percent}
              onChange={(percent) => set({ percent })}
              error={errorAt("percent")}
            />
          )}
          {error?.where === "product" && (
            <p className="error-text" role="alert">
              {error.sentence}
            </p>
          )}
        </div>
      </Panel>
    </>
  )
}
