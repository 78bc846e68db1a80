import { router } from "@inertiajs/react"
import { FilmGrowth } from "@/compare/FilmGrowth"
import { Against } from "@/components/Against"
import { ErrorText } from "@/components/ErrorText"
import { SelectField } from "@/components/Field"
import { send as request } from "@/lib/api"
import { useAnswer, useSend } from "@/lib/requests"
import { duration, when } from "@/lib/time"
import type { BookApplied, BookPage, BookRecipe, Side } from "@/types"

export type Set = BookPage["set"]

type Props = {
  recipe: BookRecipe
  pieces: BookPage["pieces"]
  piece: number | null
  set: Set
  zone: string
  now: number
  currency: string
  onPiece: (piece: number) => void
  onProduct: (there: string, here: string) => void
}

const QUIET_MS = 120

/** What the recipe would be for a piece: its film and date beside what the piece has now, and what is otherwise. */
export function Applied({ recipe, pieces, piece, set, zone, now, currency, onPiece, onProduct }: Props) {
  const mine = (values: Set["values"]) =>
    Object.fromEntries(
      Object.entries(values).filter(([key]) => recipe.parameters.some((one) => one.offered && one.key === key)),
    )
  const wish = { piece_id: piece, version: recipe.number, values: mine(set.values), products: set.products }
  const base = `/pieces/book/${recipe.id}`
  const looked = useAnswer({
    key: ["book", recipe.id, wish],
    ask: (signal) => request<BookApplied>("POST", `${base}/preview`, wish, signal),
    on: piece !== null,
    keep: true,
    after: QUIET_MS,
  })
  const { send, busy, error } = useSend()
  const refused = looked.error ?? error
  const seen = looked.error || piece === null ? null : looked.answer
  const name = pieces.find((one) => one.id === piece)?.name
  const take = () =>
    send(
      () => request<{ location: string }>("POST", `${base}/application`, wish),
      ({ location }) => router.visit(location),
    )
  return (
    <section aria-label="For a piece" className="book-applied" aria-busy={piece !== null && !seen && !refused}>
      <SelectField
        label="For"
        value={String(piece ?? "")}
        options={[
          ...(piece === null ? [["", "choose a piece"] as [string, string]] : []),
          ...pieces.map((one): [string, string] => [String(one.id), `${one.name}, ${one.wood} · ${one.client}`]),
        ]}
        onChange={(id) => onPiece(Number(id))}
      />
      {pieces.length === 0 && (
        <p className="text-second">
          There is no piece yet. <a href="/pieces/new">Size up the first</a>
        </p>
      )}
      <ErrorText reason={refused} />
      {seen && (
        <>
          <Films seen={seen} zone={zone} now={now} />
          <p className="text-head">
            {seen.made.ready_at ? `Ready ${when(seen.made.ready_at, zone)}` : "Never ready as it is"},{" "}
            {duration(seen.made.hands_min)} of hands
            {seen.made.cost !== null && `, ${Math.round(seen.made.cost)} ${currency} of material`}
          </p>
          {seen.differs.length > 0 && (
            <p className="text-second">Against what it has now: {seen.differs.join(", ")}.</p>
          )}
          <div className="mt-3">
            <button type="button" className="ui-tape" disabled={busy} onClick={() => void take()}>
              Make it the schedule of {name}
            </button>
            {seen.replaces > 0 && (
              <p className="text-second text-fine mt-1">
                It takes the place of the {seen.replaces === 1 ? "one step" : `${seen.replaces} steps`} there now; undo
                brings that back.
              </p>
            )}
          </div>
          <h3 className="text-head mt-3">Otherwise than in the book</h3>
          {seen.differences.length === 0 && <p className="text-second">Nothing: it fits as it is.</p>}
          <ul className="book-differences">
            {seen.differences.map((words) => (
              <li key={words}>{words}</li>
            ))}
          </ul>
          <Against said={seen.made.findings} />
          <Products seen={seen} onProduct={onProduct} />
        </>
      )}
    </section>
  )
}

/** Both films on one clock and to one scale. */
function Films({ seen, zone, now }: { seen: BookApplied; zone: string; now: number }) {
  const sides = [seen.made, seen.now].filter((side): side is Side => side !== null)
  const most = Math.max(60, ...sides.flatMap((side) => side.film.map(([, um]) => um)))
  const from = Math.min(now, ...sides.flatMap((side) => side.film.slice(0, 1).map(([minute]) => minute)))
  const to = Math.max(now + 1440, ...sides.map((side) => side.ready_at ?? side.film.at(-1)?.[0] ?? now))
  return (
    <div className="book-films" data-both={seen.now ? true : undefined}>
      {sides.map((side) => (
        <div key={side.key}>
          <p className="text-label">{side === seen.now ? "as it stands" : "by the book"}</p>
          <FilmGrowth side={side} dates={[]} from={from} to={to} most={most} zone={zone} />
        </div>
      ))}
    </div>
  )
}

/** What stands here for what was used there, where there is a choice or nothing at all. */
function Products({ seen, onProduct }: { seen: BookApplied; onProduct: Props["onProduct"] }) {
  const open = seen.products.filter(({ here, offers }) => here === null || offers.length > 1)
  return (
    <div className="book-products">
      {open.map(({ id, name, here, offers }) => (
        <SelectField
          key={id}
          label={here === null ? `${name}: not on the shelf` : `In place of ${name}`}
          value={here ?? ""}
          options={[
            ...(here === null ? [["", "to buy"] as [string, string]] : []),
            ...offers.map((one): [string, string] => [one.id, one.name]),
          ]}
          onChange={(product) => product && onProduct(id, product)}
        />
      ))}
    </div>
  )
}
