import type { ReactNode } from "react"
import { duration } from "@/lib/time"
import { useMeasures } from "@/lib/units"

type Props = {
  way: { hands_min: number; coats: number; film_um: number; cost: number | null }
  /** What its hands are reckoned from. */
  hands: "hands" | "hands in all"
  currency: string
  late?: boolean
  /** When it is ready. */
  children: ReactNode
}

/** When a way is ready and what it asks for, in the columns that all ways share. */
export function WayFigures({ way, hands, currency, late, children }: Props) {
  const { film } = useMeasures()
  return (
    <dl className="way-figures">
      <div data-state={late ? "late" : undefined}>
        <dt>ready</dt>
        <dd>{children}</dd>
      </div>
      <div>
        <dt>{hands}</dt>
        <dd>{duration(way.hands_min)}</dd>
      </div>
      <div>
        <dt>{way.coats === 1 ? "coat" : "coats"}</dt>
        <dd>
          {way.coats || "none"}
          {way.film_um > 0 && <span className="text-fine"> {film.text(way.film_um)}</span>}
        </dd>
      </div>
      <div>
        <dt>material</dt>
        <dd>{way.cost === null ? "no price" : `${Math.round(way.cost)} ${currency}`}</dd>
      </div>
    </dl>
  )
}
