import type { Answer } from "./answer"
import { round } from "./round"

export const SPIRIT = "var(--spirit)"
export const FLAKE = "var(--flake)"

/** Spirit and flake stacked in a jar; what is added stands above the dashed line. */
export function Solution(props: { flake: number; spirit: number; added: number; says: string }) {
  const { flake, spirit, added, says } = props
  const scale = 250 / (flake + spirit)
  const old = spirit - added
  const line = 280 - (flake + old) * scale
  return (
    <svg viewBox="0 0 260 300" aria-hidden="true">
      <rect x="40" y={280 - flake * scale} width="120" height={flake * scale} fill={FLAKE} stroke="var(--film-line)" />
      <rect x="40" y={line} width="120" height={old * scale} fill={SPIRIT} stroke="var(--paper-third)" />
      {added > 0 && (
        <rect x="40" y={30} width="120" height={added * scale} fill="url(#open)" stroke="var(--tape-ink)" />
      )}
      <path d="M36 12v264q0 6 6 6h116q6 0 6-6V12" fill="none" stroke="var(--ink)" strokeWidth="3" />
      {added > 0 && (
        <>
          <path d={`M30 ${line}h142`} stroke="var(--ink)" strokeDasharray="5 4" />
          <text x="176" y={30 + (added * scale) / 2} className="sum-label">
            {says}
          </text>
        </>
      )}
      <text x="176" y={line + (old * scale) / 2 + 5} className="sum-label">
        spirit
      </text>
      <text x="176" y={Math.min(278, 284 - (flake * scale) / 2)} className="sum-label">
        flake
      </text>
    </svg>
  )
}

/** Parts of mixes side by side, to one scale (or each to its whole). */
export function Bars({ rows, whole }: { rows: [string, [number, string][]][]; whole?: boolean }) {
  const most = Math.max(...rows.map(([, parts]) => parts.reduce((sum, [value]) => sum + value, 0)))
  return (
    <svg viewBox="0 0 420 190" aria-hidden="true">
      {rows.map(([label, parts], row) => {
        const scale = 410 / (whole ? parts.reduce((sum, [value]) => sum + value, 0) : most)
        let x = 4
        return (
          <g key={label}>
            <text x="4" y={24 + row * 92} className="sum-label">
              {label}
            </text>
            {parts.map(([value, fill]) => {
              const from = x
              x += value * scale
              return (
                <rect
                  key={fill}
                  x={from}
                  y={34 + row * 92}
                  width={value * scale}
                  height="44"
                  fill={fill}
                  stroke="var(--film-line)"
                />
              )
            })}
          </g>
        )
      })}
    </svg>
  )
}

export function FilmOnWood({ wet, dry }: { wet: number; dry: number }) {
  const scale = Math.min(1, 190 / Math.max(wet, 1))
  const top = 220
  return (
    <svg viewBox="0 0 420 300" aria-hidden="true">
      <path d={`M10 ${top}h400v70H10z`} fill="var(--wood-block)" stroke="var(--paper-ink)" />
      <path d={`M10 ${top + 22}q200-14 400 4M10 ${top + 48}q200-18 400 0`} fill="none" stroke="var(--wood-line)" />
      <rect
        x="40"
        y={top - wet * scale}
        width="150"
        height={wet * scale}
        fill="var(--wet-shade)"
        stroke="var(--film-line)"
      />
      <rect
        x="230"
        y={top - dry * scale}
        width="150"
        height={dry * scale}
        fill="var(--clear-2)"
        stroke="var(--film-line)"
      />
      <text x="115" y={top - wet * scale - 8} textAnchor="middle" className="sum-label">
        wet {round(wet)} µm
      </text>
      <text x="305" y={top - dry * scale - 8} textAnchor="middle" className="sum-label">
        dry {round(dry)} µm
      </text>
    </svg>
  )
}

/** One litre as square metres: those it really covers filled, those lost on the way open. */
export function Squares({ all, real }: { all: number; real: number }) {
  const count = Math.min(Math.ceil(all), 120)
  const columns = Math.ceil(Math.sqrt(count * 1.6))
  const size = Math.min(60, 400 / columns)
  return (
    <svg viewBox={`0 0 420 ${Math.ceil(count / columns) * size + 10}`} aria-hidden="true">
      {Array.from({ length: count }, (_, index) => {
        const x = 4 + (index % columns) * size
        const y = 4 + Math.floor(index / columns) * size
        const part = Math.max(0, Math.min(1, real - index))
        const edge = Math.max(0, Math.min(1, all - index))
        return (
          // biome-ignore lint/suspicious/noArrayIndexKey: squares are told apart by their place only
          <g key={index}>
            <rect x={x} y={y} width={(size - 4) * part} height={size - 4} fill="var(--clear-2)" />
            <rect
              x={x}
              y={y}
              width={(size - 4) * edge}
              height={size - 4}
              fill="none"
              stroke="var(--film-line)"
              strokeDasharray={part < 1 ? "3 3" : undefined}
            />
          </g>
        )
      })}
    </svg>
  )
}

/** The two scales over one axis of grain size; the grit asked for and its neighbour are joined. */
export function Grains({ numbers: n }: { numbers: Answer }) {
  const x = (um: number) => 20 + ((Math.log(201) - Math.log(um)) / (Math.log(201) - Math.log(6))) * 580
  const rows: [string, number][] = [
    ["P", 70],
    ["unprefixed", 190],
  ]
  const own = String(n.grit).startsWith("P") ? 70 : 190
  return (
    <svg viewBox="0 0 640 250" aria-hidden="true">
      <path d={`M${x(n.mean_um)} ${own}L${x(n.other_um)} ${260 - own}`} stroke="var(--tape-off)" strokeWidth="3" />
      {rows.map(([scale, y]) => (
        <g key={scale}>
          <text x="4" y={y - 44} className="sum-label">
            {scale === "P" ? "with P" : "without prefix"}
          </text>
          <path d={`M10 ${y}h620`} stroke="var(--firm)" />
          {n.scales[scale].map(([name, um]: [string, number]) => {
            const on = name === n.grit || name === n.other
            return (
              <g key={name}>
                <circle
                  cx={x(um)}
                  cy={y}
                  r={Math.max(Math.sqrt(um) * 0.9, 2)}
                  fill={on ? "var(--flake)" : "var(--grain-off)"}
                  stroke={on ? "var(--paper-ink)" : "var(--paper-firm)"}
                  strokeWidth={on ? 2 : 1}
                />
                {(on || ["P80", "P240", "P3000", "80", "240", "1000"].includes(name)) && (
                  <text
                    x={x(um)}
                    y={y + (scale === "P" ? -20 : 32)}
                    textAnchor="middle"
                    className={on ? "glass-target" : "glass-label"}
                  >
                    {name}
                  </text>
                )}
              </g>
            )
          })}
        </g>
      ))}
      <text x="10" y="240" className="glass-label">
        coarse, 201 µm
      </text>
      <text x="630" y="240" textAnchor="end" className="glass-label">
        fine, 6 µm
      </text>
    </svg>
  )
}
