import { duration, soon } from "@/lib/time"
import { useMeasures } from "@/lib/units"
import type { Side } from "@/types"
import { type Clock, Film } from "./ProposalRow"

type Props = { standing: Side; clock: Clock; currency: string }

/** The schedule that the piece has, above the ways it could be done otherwise: its film as a line only. */
export function Standing({ standing, clock, currency }: Props) {
  const { film } = useMeasures()
  return (
    <li className="way" data-standing>
      <div className="way-line">
        <div className="way-name">
          <span />
          <b>As it stands</b>
        </div>
        {standing.ready_at === null ? <span /> : <Film way={standing} ready={standing.ready_at} clock={clock} quiet />}
        <dl className="way-figures">
          <div>
            <dt>ready</dt>
            <dd>{standing.ready_at === null ? "never" : soon(standing.ready_at, clock.zone, clock.now)}</dd>
          </div>
          <div>
            <dt>hands in all</dt>
            <dd>{duration(standing.hands_min)}</dd>
          </div>
          <div>
            <dt>coats</dt>
            <dd>
              {standing.coats || "none"}
              {standing.film_um > 0 && <span className="text-fine"> {film.text(standing.film_um)}</span>}
            </dd>
          </div>
          <div>
            <dt>material</dt>
            <dd>{standing.cost === null ? "no price" : `${Math.round(standing.cost)} ${currency}`}</dd>
          </div>
        </dl>
      </div>
    </li>
  )
}
