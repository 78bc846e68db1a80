import { clock, duration } from "@/lib/time"
import { useMeasures } from "@/lib/units"
import type { Pot } from "@/types"

type Props = { pot: Pot; now: number; zone: string }

/** The life of a catalysed pot, burning down from when the hardener went in. */
export function PotLife({ pot, now, zone }: Props) {
  const { temperature } = useMeasures()
  if (pot.usable_min === null) return null
  if (pot.hardened_at === null || pot.usable_until === null)
    return (
      <p className="pot-life text-second">
        Usable for {duration(pot.usable_min)} at {temperature.text(pot.t_c ?? 20)} once the hardener is in.
      </p>
    )
  const whole = pot.usable_until - pot.hardened_at
  const left = Math.min(pot.usable_until - now, whole)
  return (
    <div className="pot-life" data-state={left < 0 ? "over" : left < 30 ? "short" : "runs"}>
      <div className="life-bar" aria-hidden="true">
        <span style={{ width: `${Math.max(0, Math.min(100, (100 * left) / whole))}%` }} />
      </div>
      <p>
        <b>
          {left >= 0
            ? `${duration(left)} of pot life left`
            : `Past its pot life since ${clock(pot.usable_until, zone)}`}
        </b>
        <span className="text-second text-fine block">
          hardener in {clock(pot.hardened_at, zone)}, usable to {clock(pot.usable_until, zone)}
        </span>
      </p>
    </div>
  )
}
