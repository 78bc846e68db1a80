import { soon } from "@/lib/time"
import type { Side } from "@/types"
import { type Clock, Film } from "./ProposalRow"
import { WayFigures } from "./WayFigures"

type Props = { standing: Side; clock: Clock; currency: string }

/** The schedule that the piece has, above the ways it could be done otherwise: its film as a line only. */
export function Standing({ standing, clock, currency }: Props) {
  return (
    <li className="way" data-standing>
      <div className="way-line">
        <div className="way-name">
          <span />
          <b>As it stands</b>
        </div>
        {standing.ready_at === null ? <span /> : <Film way={standing} ready={standing.ready_at} clock={clock} quiet />}
        <WayFigures way={standing} hands="hands in all" currency={currency}>
          {standing.ready_at === null ? "never" : soon(standing.ready_at, clock.zone, clock.now)}
        </WayFigures>
      </div>
    </li>
  )
}
