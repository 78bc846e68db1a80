import { Link } from "@inertiajs/react"
import { soon } from "@/lib/time"
import { roughMass, useUnits } from "@/lib/units"
import type { Consumable, ShoppingLine, Waste, Worn } from "@/types"
import { WearPanel } from "./WearPanel"

type Props = {
  waste: Waste
  lines: ShoppingLine[]
  worn: Worn[]
  consumables: Consumable[]
  zone: string
  now: number
  currency: string
  found: string | null
}

/** What the planned work takes, against what there is; what is short is bought in whole packs. */
export function ShoppingView({ lines, worn, consumables, waste, zone, now, currency, found }: Props) {
  const [system] = useUnits()
  const money = (value: number) => `${value.toFixed(2)} ${currency}`
  const total = [...lines, ...worn].reduce((sum, line) => sum + (line.cost ?? 0), 0)
  const most = Math.max(...lines.map((line) => Math.max(line.need_g, line.left_g)), 1)
  return (
    <div className="shopping-grid">
      <section aria-label="Material" className="ruled pt-2">
        <h2 className="text-head">Material for the planned work</h2>
        {lines.length === 0 && (
          <p className="text-second mt-2">The plan takes nothing from the shelf, or no can was ever put on it.</p>
        )}
        <ul className="need-list">
          {lines.map((line) => (
            <li
              key={line.product.code}
              data-state={line.short_g > 0.5 ? "short" : "enough"}
              data-found={line.product.code === found}
            >
              <div className="need-head">
                <b>{line.product.name}</b>
                <span className="text-second">first {soon(line.needed_at, zone, now)}</span>
              </div>
              <NeedBar need={line.need_g} left={line.left_g} stale={line.stale_g} most={most} />
              <p>
                {roughMass(line.need_g, system)} needed,{" "}
                {line.left_g > 0 ? `${roughMass(line.left_g, system)} there` : "none there"}
                {line.stale_g > 0 && (
                  <span className="caution-text">, {roughMass(line.stale_g, system)} past its date</span>
                )}
              </p>
              {line.short_g > 0.5 && (
                <p className="shelf-buy">
                  {line.packs.length ? (
                    <>
                      Buy <b>{line.packs.map((pack) => `${pack.count} × ${pack.words}`).join(" + ")}</b>
                      {line.cost ? <span className="text-second"> {money(line.cost)}</span> : null}
                    </>
                  ) : (
                    <span className="caution-text">
                      {roughMass(line.short_g, system)} short; its packs are not known
                    </span>
                  )}
                </p>
              )}
            </li>
          ))}
        </ul>
        {waste.g > 0 && (
          <p className="text-second mt-3">
            Thrown away in the last {waste.days} days: {roughMass(waste.g, system)}
            {waste.cost > 0 ? `, ${money(waste.cost)}` : ""}.
          </p>
        )}
      </section>
      <section aria-label="Consumables" className="ruled pt-2">
        <div className="flex items-center">
          <h2 className="text-head">Papers, cloths, strainers, tape</h2>
          <span className="ml-auto">
            <WearPanel />
          </span>
        </div>
        <table className="sheet-table mt-1">
          <thead>
            <tr>
              <th>Consumable</th>
              <th className="text-number">wears out</th>
              <th className="text-number">there</th>
              <th className="text-number">buy</th>
              <th>
                <span className="sr-only">Change</span>
              </th>
            </tr>
          </thead>
          <tbody>
            {consumables.map((consumable) => {
              const need = worn.find((row) => row.id === `k${consumable.id}`)
              return (
                <tr key={consumable.id}>
                  <td>
                    {consumable.name}
                    <span className="text-second text-fine block">{wearWords(consumable)}</span>
                  </td>
                  <td className="text-number">{need ? `${plain(need.need)} ${consumable.unit}` : ""}</td>
                  <td className="text-number">{plain(consumable.left)}</td>
                  <td className="text-number">
                    {need && need.packs > 0 ? (
                      <b>
                        {need.packs} × {plain(need.pack)} {consumable.unit}
                        {need.cost ? <span className="text-second text-fine block">{money(need.cost)}</span> : null}
                      </b>
                    ) : (
                      ""
                    )}
                  </td>
                  <td className="text-number">
                    <WearPanel consumable={consumable} />
                  </td>
                </tr>
              )
            })}
          </tbody>
        </table>
        {consumables.length === 0 && <p className="text-second mt-2">None kept yet.</p>}
        <p className="shopping-total">
          The whole list <b>{money(total)}</b>
        </p>
        <p className="text-second text-fine">
          Packs and prices stand with each{" "}
          <Link href="/shelf" className="underline">
            product
          </Link>
          .
        </p>
      </section>
    </div>
  )
}

const plain = (value: number) => String(Math.ceil(value * 10) / 10)

function wearWords({ wear, source }: Consumable): string {
  const share = [wear.per_m2 ? `${wear.per_m2} per m²` : "", wear.per_coat ? `${wear.per_coat} per coat` : ""]
    .filter(Boolean)
    .join(", ")
  return share ? `${share}, ${source}` : "wear not stated"
}

/** Need as a dashed line over what is there. */
function NeedBar({ need, left, stale, most }: { need: number; left: number; stale: number; most: number }) {
  const x = (grams: number) => (grams / most) * 396
  return (
    <svg viewBox="0 0 400 22" preserveAspectRatio="none" className="need-bar" aria-hidden="true">
      <rect
        x="0"
        y="6"
        width={x(left)}
        height="14"
        fill="var(--clear-2)"
        stroke="var(--film-line)"
        vectorEffect="non-scaling-stroke"
      />
      <rect x={x(left)} y="6" width={x(Math.min(stale, most - left))} height="14" fill="url(#shut)" opacity="0.7" />
      {need > left && (
        <rect
          x={x(left)}
          y="6"
          width={x(need - left)}
          height="14"
          fill="none"
          stroke="var(--caution)"
          strokeDasharray="4 3"
          vectorEffect="non-scaling-stroke"
        />
      )}
      <path d={`M${x(need)} 1v21`} stroke="var(--ink)" strokeWidth="2.5" vectorEffect="non-scaling-stroke" />
    </svg>
  )
}
