import { router } from "@inertiajs/react"
import { useMemo } from "react"
import { SelectField, TextField } from "@/components/Field"
import { send as request } from "@/lib/api"
import { useAnswer, useSend } from "@/lib/requests"
import { useFields } from "@/lib/useFields"
import type { Mixable, Recipe } from "@/types"
import { type Own, OwnComponents, ownToCore } from "./OwnComponents"
import { type Sheet, SheetDrawing } from "./SheetDrawing"

export type MixAloneProps = {
  products: Mixable[]
  helpers: { id: string; name: string }[]
  recipes: Recipe[]
  rooms: string[]
}

const START: Own[] = [
  { name: "base", parts: "100", basis: "volume", of: "base", density: "" },
  { name: "hardener", parts: "10", basis: "volume", of: "base", density: "" },
]

/** A jar of what the address names. */
const asked = (products: Mixable[]): string | null => {
  const make = new URLSearchParams(location.search).get("make")
  return products.some((product) => product.id === make && product.made) ? `make:${make}` : null
}

/**
 * A mix without a plan: a product with its sheet, a recipe of the shop, or components of one's own; for a total or from
 * what is left.
 */
export function MixAlone({ products, recipes, rooms }: MixAloneProps) {
  const [fields, set] = useFields(() => ({
    source:
      asked(products) ??
      (products[0] ? `product:${products.find((product) => product.mixed)?.id ?? products[0].id}` : "own"),
    amount: "500 ml",
    have: "",
    thinning: "",
    of: "base" as "base" | "total",
    hardener: "",
    room: rooms[0] ?? "",
    container: "",
    own: START,
  }))
  const { source, amount, have, thinning, of, hardener, room, container, own } = fields
  const [kind, id] = source.split(":")
  const product = kind === "product" ? products.find((candidate) => candidate.id === id) : undefined

  const body = useMemo(() => {
    const percent = Number(thinning.replace(",", "."))
    return {
      ...(kind === "product"
        ? { product: id }
        : kind === "make"
          ? { product: id, make: true }
          : kind === "recipe"
            ? { recipe_id: Number(id) }
            : { components: ownToCore(own) }),
      ...(kind === "product" && percent > 0 ? { thinning: { percent, of } } : {}),
      ...(kind === "product" && hardener.trim() ? { hardener_parts: Number(hardener.replace(",", ".")) } : {}),
      want: have ? { have, amount } : { amount },
      room,
      container: container.trim() || undefined,
    }
  }, [kind, id, own, thinning, of, hardener, have, amount, room, container])

  const preview = useAnswer({
    key: ["mix", body],
    ask: (signal) => request<Sheet>("POST", "/mix/preview", body, signal),
    keep: true,
  })
  const sheet = preview.answer
  const { send, error: refused } = useSend()
  const error = preview.error ?? refused
  const begin = () =>
    send(
      () => request<{ location: string }>("POST", "/mix", body),
      ({ location }) => router.visit(location),
    )
  const at = (where: string) => (error?.where?.startsWith(where) ? error.sentence : undefined)
  const elsewhere =
    error && !["want", "container", "steps/s1/thinning", "hardener"].some((where) => error.where?.startsWith(where))
  return (
    <section aria-label="Mix by itself" className="mix-alone surface-lit">
      <h2 className="panel-title">Mix by itself</h2>
      <div className="mix-form">
        <SelectField
          label="What"
          value={source}
          options={[
            ...products.map((candidate): [string, string] => [`product:${candidate.id}`, candidate.name]),
            ...products
              .filter((candidate) => candidate.made)
              .map((candidate): [string, string] => [`make:${candidate.id}`, `A jar of ${candidate.name}`]),
            ...recipes.map((recipe): [string, string] => [`recipe:${recipe.id}`, `Recipe: ${recipe.name}`]),
            ["own", "Components of my own"],
          ]}
          onChange={(next) => {
            set({ source: next, have: "", hardener: "" })
          }}
        />
        <TextField
          label={have ? "There is" : "Wanted in all"}
          value={amount}
          error={at("want")}
          placeholder="500 ml, 1,5 l, 2 oz"
          onChange={(amount) => set({ amount })}
        />
        <SelectField
          label="Reckon from"
          value={have}
          options={[
            ["", "the wanted total"],
            ...(sheet?.pours ?? []).map((pour): [string, string] => [pour.name, `what is left of ${pour.name}`]),
          ]}
          onChange={(have) => set({ have })}
        />
        {product && (
          <>
            {product.hardener !== null && (
              <TextField
                label={`Hardener, parts${product.hardener_range ? ` (${product.hardener_range.join(" to ")})` : ""}`}
                value={hardener}
                placeholder={String(product.hardener)}
                error={at("hardener")}
                onChange={(hardener) => set({ hardener })}
              />
            )}
            <TextField
              label={`Thinned by, %${product.thinning_range ? ` (${product.thinning_range.join(" to ")} of the ${product.thinning_of})` : ""}`}
              value={thinning}
              placeholder="0"
              error={at("steps/s1/thinning")}
              onChange={(thinning) => set({ thinning })}
            />
            <SelectField
              label="Thinner is a share of"
              value={of}
              options={[
                ["base", "the base"],
                ["total", "the total"],
              ]}
              onChange={(next) => set({ of: next as "base" | "total" })}
            />
          </>
        )}
        <SelectField
          label="In the"
          value={room}
          options={rooms.map((name): [string, string] => [name, name])}
          onChange={(room) => set({ room })}
        />
        <TextField
          label="Pot holds"
          value={container}
          placeholder="1 l"
          error={at("container")}
          onChange={(container) => set({ container })}
        />
      </div>
      {kind === "own" && <OwnComponents own={own} onChange={(own) => set({ own })} />}
      {elsewhere && (
        <p className="error-text mt-2" role="alert">
          {error.sentence}
        </p>
      )}
      {sheet && <SheetDrawing sheet={sheet} faded={error !== null} />}
      <button
        type="button"
        className="ui-button mt-3 w-full"
        data-size="bench"
        data-tone="dark"
        disabled={error !== null}
        onClick={() => void begin()}
      >
        Begin this mix
      </button>
    </section>
  )
}
