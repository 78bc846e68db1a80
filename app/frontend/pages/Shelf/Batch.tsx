import { Head, Link, router } from "@inertiajs/react"
import { useState } from "react"
import { TextField } from "@/components/Field"
import { PageHead } from "@/components/PageHead"
import { Shell, useNow } from "@/components/Shell"
import { Patterns } from "@/drawing/Patterns"
import { sendOnce } from "@/lib/api"
import { useRunsShop } from "@/lib/me"
import { useSend } from "@/lib/requests"
import { useShop } from "@/lib/shop"
import { when } from "@/lib/time"
import { mass, useUnits, volume } from "@/lib/units"
import { batchSays } from "@/shelf/batchSays"
import { Jar } from "@/shelf/Jar"
import type { BatchPage } from "@/types"

/** A can or jar: what is in it, since when and until when, what was poured from it, and its label. */
export default function ShelfBatch(first: BatchPage) {
  const shop = useShop()
  const now = useNow(shop.now)
  const [system] = useUnits()
  const runsShop = useRunsShop()
  const [{ batch, moves, use }, setState] = useState(first)
  const [left, setLeft] = useState("")
  const [kept, setKept] = useState("")
  const { send, error: trouble } = useSend()
  const act = (what: string, more: Record<string, unknown> = {}) =>
    send(
      () => sendOnce<BatchPage | { location: string }>("PATCH", `/batches/${batch.id}`, { act: what, ...more }),
      (answer) => {
        setLeft("")
        setKept("")
        if ("location" in answer) router.visit(answer.location)
        else setState(answer)
      },
    )
  const says = batchSays(batch, now)
  const dates: [string, string | null][] = [
    [batch.mix_id === null ? "came" : "mixed", batch.made_on],
    ["opened", batch.mix_id === null ? batch.opened_on : null],
    ["good to", batch.expires_on],
  ]
  return (
    <Shell>
      <Head title={`${batch.code} ${batch.name}`} />
      <Patterns />
      <PageHead
        title={
          <>
            {batch.code} {batch.name}
          </>
        }
        facts={
          <>
            <Link href="/shelf?view=batches" className="underline underline-offset-2">
              Shelf
            </Link>
            {batch.product_id && (
              <>
                {" · "}
                <Link href={`/products/${batch.product_id}`} className="underline underline-offset-2">
                  Product
                </Link>
              </>
            )}
            {batch.lot ? ` · lot ${batch.lot}` : ""}
            {use.serves.length > 0 ? ` · ${use.serves.join(" · ")}` : ""}
          </>
        }
      />
      <div className="batch-grid">
        <section className="surface-lit batch-now" aria-label="What is in it">
          <Jar
            fill={batch.left_g / Math.max(batch.first_g, batch.left_g, 1)}
            look={batch.look}
            state={batch.state}
            kept={batch.kept}
            over={says.over}
          />
          <div>
            <p className="batch-left">{mass(batch.left_g, system, 1)}</p>
            <p className="text-second">
              {volume(batch.left_g / batch.density_g_per_ml, system)}, {batch.state}
              {batch.boxed ? ", boxed" : ""}
            </p>
            <p className={`text-head ${says.tone === "plain" ? "" : "caution-text"}`}>{says.words}</p>
            <dl className="ui-summary mt-3">
              {dates.map(
                ([word, date]) =>
                  date && (
                    <div key={word}>
                      <dt>{word}</dt>
                      <dd>{plainDay(date)}</dd>
                    </div>
                  ),
              )}
              {batch.usable_until && (
                <div>
                  <dt>usable to</dt>
                  <dd>{when(batch.usable_until, shop.zone)}</dd>
                </div>
              )}
            </dl>
          </div>
        </section>
        {!batch.discarded && runsShop && (
          <section aria-label="Do with it" className="batch-acts">
            <div className="act-row">
              <TextField
                label="Weighed, left in it"
                value={left}
                placeholder="250 g"
                error={trouble?.where === "left" || trouble?.where === "amount" ? trouble.sentence : undefined}
                onChange={setLeft}
              />
              <button
                type="button"
                className="ui-button"
                disabled={!left.trim()}
                onClick={() => void act("weigh", { left })}
              >
                That is left
              </button>
            </div>
            <div className="act-row">
              <TextField
                label="Fill off a touch-up jar"
                value={kept}
                placeholder="100 g"
                error={trouble?.where === "grams" ? trouble.sentence : undefined}
                onChange={setKept}
              />
              <button
                type="button"
                className="ui-button"
                disabled={!kept.trim()}
                onClick={() => void act("keep", { grams: kept })}
              >
                Keep it
              </button>
            </div>
            <div className="flex flex-wrap gap-2 mt-2">
              {batch.state === "sealed" && (
                <button type="button" className="ui-button" onClick={() => void act("open")}>
                  Open it
                </button>
              )}
              <button
                type="button"
                className="ui-button"
                onClick={() => void act("empty")}
                disabled={batch.left_g === 0}
              >
                It is empty
              </button>
              <button type="button" className="ui-button" onClick={() => void act("discard")}>
                Throw away
              </button>
            </div>
            {trouble && !["left", "amount", "grams"].includes(trouble.where ?? "") && (
              <p className="error-text mt-2" role="alert">
                {trouble.sentence}
              </p>
            )}
          </section>
        )}
        {runsShop && <BatchLabel id={batch.id} code={batch.code} />}
        {use.components.length > 0 && (
          <section aria-label="What went in" className="ruled pt-2">
            <h2 className="text-head">What went in</h2>
            <ul className="mt-1">
              {use.components.map((component) => (
                <li key={component.name} className="flex justify-between py-1">
                  <span>{component.name}</span>
                  <b>{mass(component.g, system, 0.1)}</b>
                </li>
              ))}
            </ul>
            {use.film_um !== null && (
              <p className="text-head mt-2">
                {use.film_um} µm wet by the pot, {use.planned_um} µm planned
                <span className="text-second text-fine block">what left the pot, over {use.area_m2} m²</span>
              </p>
            )}
            {use.film_um === null && use.serves.length > 0 && (
              <p className="text-second mt-2">
                Weigh what is left once the coats are on, and the pot tells the real wet film.
              </p>
            )}
          </section>
        )}
        <section aria-label="In and out" className="ruled pt-2 batch-moves">
          <h2 className="text-head">In and out</h2>
          <table className="sheet-table">
            <thead>
              <tr>
                <th>When</th>
                <th>What</th>
                <th className="text-number">in or out</th>
              </tr>
            </thead>
            <tbody>
              {moves.map((move) => (
                <tr key={move.id}>
                  <td>{when(move.at, shop.zone)}</td>
                  <td>{move.reason}</td>
                  <td className="text-number">
                    {move.grams > 0 ? "+ " : "− "}
                    {mass(Math.abs(move.grams), system, 0.1)}
                  </td>
                </tr>
              ))}
            </tbody>
          </table>
        </section>
      </div>
    </Shell>
  )
}

function BatchLabel({ id, code }: { id: number; code: string }) {
  const label = `/batches/${id}/label`
  return (
    <section aria-label="Label" className="batch-label">
      <img src={`${label}.svg`} alt={`Label of ${code}`} width="330" />
      <p className="mt-2 flex gap-2">
        <a href={`${label}.pdf`} className="ui-button" target="_blank" rel="noreferrer">
          PDF to print
        </a>
        <a href={`${label}.svg`} className="ui-button" download={`${code}.svg`}>
          SVG
        </a>
      </p>
    </section>
  )
}

const MONTHS = ["Jan", "Feb", "Mar", "Apr", "May", "Jun", "Jul", "Aug", "Sep", "Oct", "Nov", "Dec"]

/** "2026-09-22" as "22 Sep 2026" */
const plainDay = (iso: string) => {
  const [year, month, date] = iso.split("-").map(Number)
  return `${date} ${MONTHS[(month ?? 1) - 1]} ${year}`
}
