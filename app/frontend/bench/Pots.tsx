import { Link } from "@inertiajs/react"
import { clock, duration } from "@/lib/time"
import { roughMass, useUnits } from "@/lib/units"
import type { BenchPot } from "@/types"

type Props = { pots: BenchPot[]; now: number; zone: string }

/** Pots on the bench: how full, and their life burning down. */
export function Pots({ pots, now, zone }: Props) {
  const [system] = useUnits()
  if (!pots.length) return null
  return (
    <section className="ruled pt-2 mt-3" aria-label="Pots">
      <h2 className="text-head">In the pot</h2>
      <ul className="bench-pots">
        {pots.map((pot) => {
          const whole = pot.usable_until !== null && pot.mixed_at !== null ? pot.usable_until - pot.mixed_at : 1
          const left = pot.usable_until === null ? null : Math.min(pot.usable_until - now, whole)
          const fill = Math.max(0, Math.min(1, pot.left_g / Math.max(pot.whole_g, 1))) * 40
          return (
            <li key={pot.path} data-state={left === null ? "calm" : left < 0 ? "over" : left < 30 ? "short" : "runs"}>
              <Link href={pot.path}>
                <svg viewBox="0 0 58 56" width="58" height="56" aria-hidden="true">
                  <rect x="5" y={48 - fill} width="34" height={fill} fill="var(--base-2)" stroke="var(--film-line)" />
                  <path d="M3 4v42q0 4 4 4h30q4 0 4-4V4" fill="none" stroke="var(--ink)" strokeWidth="2.4" />
                  {left !== null && (
                    <>
                      <rect x="47" y="4" width="9" height="46" fill="var(--wet)" stroke="var(--tape-ink)" />
                      <rect
                        x="47"
                        y={50 - 46 * Math.max(0, Math.min(1, left / whole))}
                        width="9"
                        height={46 * Math.max(0, Math.min(1, left / whole))}
                        fill="url(#open)"
                        stroke="var(--tape-ink)"
                      />
                    </>
                  )}
                </svg>
                <span className="min-w-0">
                  <span className="block">
                    {pot.name}, {roughMass(pot.left_g, system)}
                  </span>
                  <b>
                    {left === null
                      ? pot.open
                        ? "being mixed"
                        : "no pot life"
                      : left >= 0
                        ? `${duration(left)} of pot life`
                        : `sets: past its life since ${clock(pot.usable_until ?? now, zone)}`}
                  </b>
                </span>
              </Link>
            </li>
          )
        })}
      </ul>
    </section>
  )
}
