import { scaleLog } from "d3-scale"
import { useMeasures } from "@/lib/units"
import type { OwnFiguresPage } from "@/types"

const WIDTH = 150
const SHOWN: [number, number] = [0.4, 2.5]

type Pace = OwnFiguresPage["pace"][number]
type Spread = { factor: number; low: number; high: number }

/** How long hands take of what is reckoned: all of them, and each by name. */
export function PaceRows({ pace }: { pace: Pace[] }) {
  const { area } = useMeasures()
  if (pace.length === 0)
    return <p className="text-second">Nothing yet: work that is begun and done at the bench teaches it.</p>
  return (
    <table className="own-pace">
      <tbody>
        {pace.map((one) => (
          <tr key={one.work}>
            <th scope="row">
              {one.work}
              <span className="text-second text-fine block">
                {perArea(one.m2_min, area.unit === "ft²")}, {one.times === 1 ? "once" : `${one.times} times`}
                {!one.counts && ", too few for plans yet"}
              </span>
            </th>
            <td>
              <Bar spread={one} words="all hands" />
              {one.people.map((person) => (
                <Bar key={person.person} spread={person} words={person.person} thin />
              ))}
            </td>
          </tr>
        ))}
      </tbody>
    </table>
  )
}

type Shares = OwnFiguresPage["shares"][number]["ways"]

/** A figure of the shop's own beside the one that is taken otherwise, by the way the work is done. */
export function ShareRows({ ways }: { ways: Shares }) {
  return (
    <table className="own-pace">
      <tbody>
        {ways.map((one) => (
          <tr key={one.way}>
            <th scope="row">
              {one.way}
              <span className="text-second text-fine block">
                {one.own}, {one.times === 1 ? "once" : `${one.times} times`}
                {!one.counts && ", too few for plans yet"}
              </span>
            </th>
            <td>
              <Bar spread={one} words="of what is taken otherwise" />
            </td>
          </tr>
        ))}
      </tbody>
    </table>
  )
}

const FT2_PER_M2 = 10.7639

const perArea = (minutes: number, feet: boolean) =>
  feet ? `${(minutes / FT2_PER_M2).toFixed(2)} min/ft²` : `${minutes.toFixed(1)} min/m²`

/** The factor with where eight of ten fall; the upright is what is reckoned. */
function Bar({ spread, words, thin }: { spread: Spread; words: string; thin?: boolean }) {
  const x = scaleLog(SHOWN, [2, WIDTH - 2]).clamp(true)
  return (
    <span className="own-bar">
      <svg
        width={WIDTH}
        height={16}
        role="img"
        aria-label={`${words}: ${spread.factor.toFixed(2)} of what is reckoned, ${spread.low.toFixed(2)} to ${spread.high.toFixed(2)}`}
      >
        <path d={`M${x(1)} 0V16`} stroke="var(--ink)" strokeWidth={1.2} />
        <path d={`M${x(spread.low)} 8H${x(spread.high)}`} stroke="var(--layer-ink)" strokeWidth={thin ? 2 : 5} />
        <circle cx={x(spread.factor)} cy={8} r={4} fill="var(--lit)" stroke="var(--ink)" strokeWidth={1.6} />
      </svg>
      <span>
        <b>{spread.factor.toFixed(2)}</b> {words}
      </span>
    </span>
  )
}
