import { duration } from "@/lib/time"
import { mass, useUnits } from "@/lib/units"
import type { QuotePage } from "@/types"

/** Hours by phase as they are reckoned, and what the done part of them really took. */
export function Hours({
  phases,
  given,
}: Pick<QuotePage, "phases"> & {
  /** Minutes of each phase as they were given to the client. */
  given: Record<string, number> | null
}) {
  const told = ({ phase }: { phase: string }) => given?.[phase] ?? 0
  const most = Math.max(1, ...phases.flatMap((phase) => [phase.min, phase.real_min, told(phase)]))
  const share = (min: number) => `${(min / most) * 100}%`
  return (
    <table className="spent" aria-label="Hours by phase">
      <tbody>
        {phases.map((phase) => (
          <tr key={phase.phase}>
            <th scope="row">{phase.name}</th>
            <td className="spent-figure">{duration(phase.min)}</td>
            <td className="spent-bar">
              {given && <span className="spent-given" style={{ marginLeft: share(told(phase)) }} />}
              <span className="spent-planned" style={{ width: share(phase.min) }}>
                <span style={{ width: phase.min > 0 ? `${(phase.done_min / phase.min) * 100}%` : 0 }} />
              </span>
              {phase.done_min > 0 && (
                <>
                  <span className="spent-real" style={{ width: share(phase.real_min) }} />
                  <span className="text-fine block">{took(phase)}</span>
                </>
              )}
            </td>
          </tr>
        ))}
      </tbody>
    </table>
  )
}

function took({ min, done_min, real_min }: QuotePage["phases"][number]): string {
  const part = done_min < min ? `${duration(done_min)} of it done` : "done"
  const by = Math.round(real_min - done_min)
  const off = by === 0 ? "as reckoned" : `${duration(Math.abs(by))} ${by > 0 ? "more" : "less"}`
  return `${part}, took ${duration(real_min)}: ${off}`
}

/** What is poured and what wears out, the dearest first. */
export function Goods({ materials, worn, currency }: Pick<QuotePage, "materials" | "worn" | "currency">) {
  const [system] = useUnits()
  const rows = [
    ...materials.map(({ name, g, cost }) => ({ name, cost, amount: mass(g, system) })),
    ...worn.map(({ name, need, unit, cost }) => ({ name, cost, amount: `${rough(need)} ${unit}` })),
  ]
  return (
    <table className="spent" aria-label="Material and what wears out">
      <tbody>
        {rows.map(({ name, cost, amount }) => (
          <tr key={name}>
            <th scope="row">{name}</th>
            <td className="spent-figure">{amount}</td>
            <td className="spent-money">{cost === null ? "no price" : `${cost.toFixed(2)} ${currency}`}</td>
          </tr>
        ))}
      </tbody>
    </table>
  )
}

const rough = (need: number) => (need < 10 ? need.toFixed(1) : String(Math.round(need)))
