import { Head, Link, router } from "@inertiajs/react"
import { type KeyboardEvent, useState } from "react"
import { Cautions } from "@/components/Cautions"
import { SelectField, TextField } from "@/components/Field"
import { PageHead } from "@/components/PageHead"
import { Shell, useNow } from "@/components/Shell"
import { send as request } from "@/lib/api"
import { useRunsShop } from "@/lib/me"
import { useAnswer, useSend } from "@/lib/requests"
import { useShop } from "@/lib/shop"
import { roughMass, useUnits } from "@/lib/units"
import { discardUnsaved, useUnsaved } from "@/lib/unsaved"
import { batchSays } from "@/shelf/batchSays"
import { Figure, type Typed } from "@/shelf/Figure"
import { MadeHere } from "@/shelf/MadeHere"
import { OwnColour } from "@/shelf/OwnColour"
import { ReceivePanel } from "@/shelf/ReceivePanel"
import type { Product, ProductPage } from "@/types"

/**
 * A product with every figure it has: what its sheet says, what the class stands in for, what is missing. Figures are
 * changed in place.
 */
export default function ShelfProduct({
  product,
  batches,
  used,
  stays,
  classes,
  roles,
  colours,
  colour,
  made,
  products,
}: ProductPage) {
  const shop = useShop()
  const now = useNow(shop.now)
  const [system] = useUnits()
  const runsShop = useRunsShop()
  const [identity, setIdentity] = useState({
    maker: product.maker,
    name: product.name,
    role: product.role,
    colour: product.colour,
    kind: product.kind,
  })
  const [figures, setFigures] = useState<Record<string, Typed>>({})
  const { send, error } = useSend()
  const fresh = product.id === null
  const groups = useGroups(product, identity.kind)
  const copied = fresh
    ? Object.fromEntries(
        product.groups.flatMap((group) =>
          group.lines.filter((line) => line.state === "given").map((line) => [line.path, line.rows ?? line.value]),
        ),
      )
    : {}
  const dirty =
    fresh ||
    Object.keys(figures).length > 0 ||
    (Object.keys(identity) as (keyof typeof identity)[]).some((field) => identity[field] !== product[field])
  useUnsaved(
    Object.keys(figures).length > 0 ||
      (Object.keys(identity) as (keyof typeof identity)[]).some((field) => identity[field] !== product[field]),
  )
  const errorAt = (where: string) => (error?.where === where ? error.sentence : undefined)
  const keep = () =>
    send(
      () =>
        request<{ location: string }>(fresh ? "POST" : "PATCH", fresh ? "/products" : `/products/${product.id}`, {
          ...identity,
          figures: { ...copied, ...figures },
        }),
      ({ location }) => {
        discardUnsaved()
        setFigures({})
        router.visit(location, { preserveScroll: true })
      },
    )
  const remove = () =>
    send(
      () => request<{ location: string }>("DELETE", `/products/${product.id}`),
      ({ location }) => router.visit(location),
    )
  const retire = (way: "POST" | "DELETE") =>
    send(
      () => request(way, `/products/${product.id}/retirement`),
      () => router.reload(),
    )
  const source =
    product.groups.flatMap((group) => group.lines).find((line) => line.path === "source" && line.state === "given")
      ?.value ?? ""
  const elsewhere =
    error &&
    !["maker", "name", "role", "colour", "kind"].includes(error.where ?? "") &&
    !product.groups.some((group) => group.lines.some((line) => line.path === error.where))
  return (
    <Shell>
      <Head title={fresh ? "New product" : `${product.maker} ${product.name}`} />
      <PageHead
        title={fresh ? "New product" : `${product.maker} ${product.name}`}
        facts={
          <>
            <Link href="/shelf?view=products" className="underline underline-offset-2">
              Shelf
            </Link>
            {product.retired ? " · retired, no longer offered" : ""}
            {used.length > 0 && <span title={used.join(", ")}>{` · used for ${few(used)}`}</span>}
          </>
        }
      >
        {runsShop && (
          <span className="ml-auto flex flex-wrap gap-2">
            {!fresh && (
              <>
                <Link href={`/products/new?copy=${product.id}`} className="ui-button">
                  Copy
                </Link>
                {stays ? (
                  <button
                    type="button"
                    className="ui-button"
                    title={
                      product.retired ? "Offered in forms again" : "Known where it is named, and no longer offered"
                    }
                    onClick={() => void retire(product.retired ? "DELETE" : "POST")}
                  >
                    {product.retired ? "Take up again" : "Retire"}
                  </button>
                ) : (
                  <button type="button" className="ui-button" onClick={() => void remove()}>
                    Remove
                  </button>
                )}
              </>
            )}
            <button
              type="button"
              className={dirty ? "ui-tape" : "ui-button"}
              data-size="small"
              disabled={!dirty}
              onClick={() => void keep()}
            >
              {dirty ? "Keep what was changed" : "Nothing changed"}
            </button>
          </span>
        )}
      </PageHead>
      {elsewhere && (
        <p className="ui-trouble error-text" role="alert">
          {error.sentence}
        </p>
      )}
      <fieldset className="product-grid" disabled={!runsShop}>
        <aside>
          <div className="surface-lit product-identity">
            <TextField
              label="Maker"
              value={identity.maker}
              error={errorAt("maker")}
              onChange={(maker) => setIdentity({ ...identity, maker })}
            />
            <TextField
              label="Name"
              value={identity.name}
              error={errorAt("name")}
              onChange={(name) => setIdentity({ ...identity, name })}
            />
            <SelectField
              label="Class"
              value={identity.kind}
              error={errorAt("kind")}
              options={classes}
              onChange={(kind) => setIdentity({ ...identity, kind })}
            />
            <SelectField
              label="What for"
              value={identity.role}
              error={errorAt("role")}
              options={roles.map((role): [string, string] => [role, role])}
              onChange={(role) => setIdentity({ ...identity, role })}
            />
            <SelectField
              label="Colour note"
              value={identity.colour}
              error={errorAt("colour")}
              options={colours.map((colour): [string, string] => [colour, colour])}
              onChange={(colour) => setIdentity({ ...identity, colour })}
            />
            <Cautions texts={product.cautions} />
          </div>
          {colour && <OwnColour url={`/products/${product.id}/optics`} colour={colour} />}
          {made && <MadeHere code={product.code} made={made} />}
          {!fresh && (
            <section aria-label="Cans of it" className="mt-4">
              <div className="flex items-center">
                <h2 className="text-head">On the shelf</h2>
                {runsShop && (
                  <span className="ml-auto">
                    <ReceivePanel
                      products={[]}
                      product={product.id ?? undefined}
                      today={new Date(now * 60_000).toISOString().slice(0, 10)}
                    />
                  </span>
                )}
              </div>
              <ul className="can-list">
                {batches.map((batch) => {
                  const says = batchSays(batch, now)
                  return (
                    <li key={batch.id}>
                      <Link href={`/batches/${batch.id}`}>
                        <b>{batch.code}</b> {batch.state}, {roughMass(batch.left_g, system)}
                        <span className={`text-fine block ${says.tone === "plain" ? "text-second" : "caution-text"}`}>
                          {says.words}
                        </span>
                      </Link>
                    </li>
                  )
                })}
                {batches.length === 0 && <li className="text-second">No can of it.</li>}
              </ul>
            </section>
          )}
        </aside>
        <div className="figure-groups" role="group" aria-label="Figures" onKeyDown={onward}>
          <p className="figure-legend text-fine text-second">
            As on its sheet, from top to bottom; Enter goes on. What the sheet does not say stays open: greyed figures
            are estimates of its class, used until then. Times in minutes, or as 16 h, 7 d.
          </p>
          {groups.map((group) => (
            <section key={group.name} aria-label={group.name}>
              <h2 className="text-head">{group.name}</h2>
              <ul>
                {group.lines.map((line) => (
                  <Figure
                    key={line.path}
                    line={line}
                    products={products}
                    typed={figures[line.path]}
                    source={source}
                    error={errorAt(line.path)}
                    onChange={(value) => setFigures({ ...figures, [line.path]: value })}
                  />
                ))}
              </ul>
            </section>
          ))}
        </div>
      </fieldset>
    </Shell>
  )
}

/** The figures of a product; where another class is chosen, what that class stands in with. */
function useGroups(product: Product, kind: string): Product["groups"] {
  const { answer } = useAnswer({
    key: ["class", kind],
    ask: (signal) =>
      request<{ groups: Product["groups"] }>("GET", `/products/defaults?kind=${kind}`, undefined, signal),
    on: kind !== product.kind,
    keep: true,
    quiet: true,
  })
  const given = new Map(
    product.groups.flatMap((group) => group.lines.map((line) => [line.path, line.state === "given" ? line : null])),
  )
  if (kind === product.kind || !answer) return product.groups
  return answer.groups.map((group) => ({ ...group, lines: group.lines.map((line) => given.get(line.path) ?? line) }))
}

const few = (names: string[]) =>
  names.length <= 3 ? names.join(", ") : `${names.slice(0, 3).join(", ")} and ${names.length - 3} more`

/** Enter goes to the next field, so that a sheet is typed down without leaving the keys. */
function onward(event: KeyboardEvent<HTMLElement>) {
  if (event.key !== "Enter" || !(event.target as Element).matches("input, select")) return
  event.preventDefault()
  const fields = [...event.currentTarget.querySelectorAll<HTMLElement>("input, select")]
  const next = fields[fields.indexOf(event.target as HTMLElement) + (event.shiftKey ? -1 : 1)]
  next?.focus()
  if (next instanceof HTMLInputElement) next.select()
}
