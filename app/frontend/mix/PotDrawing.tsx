import { drawing } from "@/components/Broken"
import { mass, type System } from "@/lib/units"
import type { Pot, Pour } from "@/types"

const WIDTH = 250
const HEIGHT = 380
const WALL = { left: 18, right: 202, top: 26, bottom: 356 }

/** What a material looks like in the pot. */
export const LIQUID: Record<string, string> = {
  base: "url(#liquid-base)",
  hardener: "url(#liquid-hardener)",
  thinner: "url(#liquid-thinner)",
  colourant: "var(--dye)",
  other: "var(--kraft)",
}

type Props = { pot: Pot; current: Pour | null; live: number; system: System }

/** The pot filling: what is in, layer by layer, and the band on its wall that the current pour must reach. */
export const PotDrawing = drawing("The pot", Drawn)

function Drawn({ pot, current, live, system }: Props) {
  const capacity = pot.container_ml ? Math.max(pot.total_g, pot.container_ml) : pot.total_g * 1.16
  const y = (grams: number) => WALL.bottom - (Math.min(grams, capacity * 1.02) / capacity) * (WALL.bottom - WALL.top)
  let level = 0
  const layers = pot.pours
    .filter((pour) => pour.poured_g > 0)
    .map((pour) => {
      const from = level
      level += pour.poured_g
      return { pour, from, to: level }
    })
  const top = level + Math.max(live, 0)
  const over = current ? live > current.high_add_g : false
  return (
    <svg
      viewBox={`0 0 ${WIDTH} ${HEIGHT}`}
      className="mix-pot"
      role="img"
      aria-label={`Pot: ${mass(level + live, system, pot.resolution_g)} in, ${mass(pot.total_g, system, pot.resolution_g)} in all`}
    >
      <defs>
        <linearGradient id="liquid-base" x1="0" x2="1">
          <stop offset="0" stopColor="var(--wet)" />
          <stop offset="0.7" stopColor="var(--base-2)" />
          <stop offset="1" stopColor="var(--base-3)" />
        </linearGradient>
        <linearGradient id="liquid-hardener" x1="0" x2="1">
          <stop offset="0" stopColor="var(--hardener-1)" />
          <stop offset="1" stopColor="var(--hardener-2)" />
        </linearGradient>
        <linearGradient id="liquid-thinner" x1="0" x2="1">
          <stop offset="0" stopColor="var(--thinner-1)" />
          <stop offset="1" stopColor="var(--thinner-2)" />
        </linearGradient>
      </defs>
      <path d={`M${WALL.right + 2} ${WALL.top + 22}l24 16V${WALL.bottom + 8}h-24z`} fill="url(#cast)" />
      <rect
        x={WALL.left}
        y={WALL.top}
        width={WALL.right - WALL.left}
        height={WALL.bottom - WALL.top}
        fill="var(--lit)"
        opacity={0.6}
      />
      {layers.map(({ pour, from, to }) => (
        <g key={pour.name} data-part="layer">
          <rect
            x={WALL.left}
            y={y(to)}
            width={WALL.right - WALL.left}
            height={Math.max(y(from) - y(to), 1)}
            fill={LIQUID[pour.role]}
            stroke="var(--film-line)"
            strokeWidth={1}
          />
          {y(from) - y(to) > 20 && (
            <text
              x={(WALL.left + WALL.right) / 2}
              y={(y(from) + y(to)) / 2 + 5}
              textAnchor="middle"
              className="on-liquid"
            >
              {mass(pour.poured_g, system, pot.resolution_g)}
            </text>
          )}
        </g>
      ))}
      {current && live > 0 && (
        <rect
          data-part="live"
          x={WALL.left}
          y={y(top)}
          width={WALL.right - WALL.left}
          height={Math.max(y(level) - y(top), 0)}
          fill={LIQUID[current.role]}
          stroke="var(--film-line)"
          strokeWidth={1}
          opacity={0.85}
        />
      )}
      {current && (
        <g data-part="band">
          <rect
            x={WALL.right - 4}
            y={y(level + current.high_add_g)}
            width={26}
            height={Math.max(y(level + current.low_add_g) - y(level + current.high_add_g), 5)}
            fill="url(#open)"
            stroke="var(--tape-ink)"
          />
          <path
            d={`M${WALL.left} ${y(level + current.add_g)}H${WALL.right}`}
            stroke={over ? "var(--stop)" : "var(--tape-off)"}
            strokeWidth={2}
            strokeDasharray="7 5"
          />
        </g>
      )}
      <path
        d={`M${WALL.left - 4} ${WALL.top - 8}V${WALL.bottom}q0 8 8 8h${WALL.right - WALL.left - 8}q8 0 8-8V${WALL.top - 8}`}
        fill="none"
        stroke="var(--ink)"
        strokeWidth={3}
      />
      <text x={WALL.left} y={14} className="axis-tick">
        {pot.container_ml
          ? `pot of ${Math.round(pot.container_ml)} ml`
          : `${mass(pot.total_g, system, pot.resolution_g)} in all`}
      </text>
    </svg>
  )
}
