import { scaleLinear } from "d3-scale"
import { curveStepAfter, line as stepped } from "d3-shape"
import { drawing } from "@/components/Broken"
import { clock, day, dayStart } from "@/lib/time"
import { useMeasures } from "@/lib/units"

type Air = { from: number; t_c: number; rh: number; air: string }
type Props = { line: Air[]; from: number; to: number; now: number; zone: string; name: string }

const WIDTH = 560
const HEIGHT = 116
const TOP = 22
const FLOOR = 96

/** Temperature as a stepped line over the days around now, humidity as a thin dashed one. */
export const AirDrawing = drawing("The air of the room", Drawn)

function Drawn({ line, from, to, now, zone, name }: Props) {
  const x = scaleLinear([from, to], [0, WIDTH])
  const low = Math.min(...line.map((air) => air.t_c)) - 2
  const { temperature } = useMeasures()
  const high = Math.max(...line.map((air) => air.t_c)) + 2
  const y = scaleLinear([low, high], [FLOOR, TOP])
  const humid = scaleLinear([0, 100], [FLOOR, TOP])
  const steps = (value: (air: Air) => number) => {
    const points = line.map((air, index): [number, number] => [index ? x(air.from) : 0, value(air)])
    return stepped().curve(curveStepAfter).digits(1)([...points, [WIDTH, points.at(-1)?.[1] ?? FLOOR]]) ?? ""
  }
  const nights = [0, 1, 2]
    .map((days) => dayStart(from + days * 1440, zone))
    .filter((start) => start > from && start < to)
  const nowAir = line.filter((air) => air.from <= now).at(-1)
  return (
    <svg
      viewBox={`0 0 ${WIDTH} ${HEIGHT}`}
      className="air-drawing"
      role="img"
      aria-label={`Air of ${name}: ${nowAir ? `${temperature.text(nowAir.t_c)}, ${nowAir.rh} % now` : ""}`}
    >
      <path d={`M0 ${FLOOR}H${WIDTH}`} stroke="var(--firm)" />
      {nights.map((start) => (
        <g key={start}>
          <path d={`M${x(start)} ${TOP - 8}V${FLOOR}`} stroke="var(--rule)" />
          {x(start) < WIDTH - 70 && (
            <text x={x(start) + 4} y={FLOOR + 16} className="axis-tick">
              {day(start, zone)}
            </text>
          )}
        </g>
      ))}
      <path d={steps((air) => humid(air.rh))} fill="none" stroke="var(--third)" strokeDasharray="3 3" />
      <path d={steps((air) => y(air.t_c))} fill="none" stroke="var(--resin)" strokeWidth={2.5} />
      <path d={`M${x(now)} ${TOP - 14}V${FLOOR}`} stroke="var(--tape-off)" strokeWidth={2} />
      {nowAir && (
        <text x={Math.min(x(now) + 6, WIDTH - 150)} y={14} className="air-now">
          {clock(now, zone)} {temperature.text(nowAir.t_c)}, {nowAir.rh} % RH
        </text>
      )}
      {line
        .filter((air, index) => index === 0 || Math.abs(air.t_c - (line[index - 1]?.t_c ?? air.t_c)) > 1)
        .map((air, index, all) => ({ air, room: x(all[index + 1]?.from ?? to) - x(air.from) }))
        .filter(({ room }) => room > 44)
        .map(({ air }) => (
          <text key={air.from} x={Math.max(x(air.from), 0) + 5} y={y(air.t_c) - 5} className="air-tick">
            {temperature.text(air.t_c)}
          </text>
        ))}
    </svg>
  )
}
