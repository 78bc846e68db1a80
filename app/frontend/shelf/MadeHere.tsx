import { Link } from "@inertiajs/react"
import type { ProductPage } from "@/types"

type Props = { code: string; made: NonNullable<ProductPage["made"]> }

/** A blend of the shop's own: what is in it in the end, what it comes to, and the way to the next jar. */
export function MadeHere({ code, made }: Props) {
  return (
    <section aria-label="Made here" className="mt-4">
      <div className="flex items-center">
        <h2 className="text-head">Made here</h2>
        <Link href={`/mix?make=${code}`} className="ui-button ml-auto" data-size="small">
          Make a jar
        </Link>
      </div>
      <ul aria-label="All that is in it, by weight">
        {made.raw.map(({ name, percent }) => (
          <li key={name} className="flex justify-between gap-3 thin-rule">
            <span>{name}</span>
            <b className="whitespace-nowrap">{percent} %</b>
          </li>
        ))}
      </ul>
      <p className="text-second text-fine">
        By weight. By its parts it comes to {made.density_g_per_ml} g/ml
        {made.solids_volume_percent !== null && ` and ${made.solids_volume_percent} % solids by volume`}.
      </p>
    </section>
  )
}
