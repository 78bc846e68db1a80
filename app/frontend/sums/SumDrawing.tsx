import type { ReactNode } from "react"
import { round } from "./round"

// biome-ignore lint/suspicious/noExplicitAny: each sum answers with its own numbers, told apart by its id
export type Answer = Record<string, any>

const SPIRIT = "#dfe9e9"
const FLAKE = "#c9842d"

/** The answer of a sum: what to read, and the drawing that carries it. */
export function SumDrawing({ id, numbers: n }: { id: string; numbers: Answer }) {
  switch (id) {
    case "thin_cut":
      return (
        <Both
          drawing={<Solution flake={n.flake_ml} spirit={n.spirit_ml} added={n.add_spirit_ml} />}
          figures={[
            n.add_flake_g > 0 ? ["Add flake", `${round(n.add_flake_g)} g`] : ["Add spirit", `${round(n.add_spirit_ml)} ml`],
            ["It makes", `${round(n.solution_ml)} ml`],
            ["of a cut of", `${round(n.lb, 2)} lb, ${round(n.g_per_l)} g/L of spirit`],
            ["Solids", `${round(n.solids_percent, 1)} % by volume`],
            ...(n.rule_lb
              ? [["The rule of thumb says", `${round(n.rule_lb, 2)} lb, ${round(n.off_percent)} % off`] as [string, string]]
              : []),
          ]}
        />
      )
    case "make_cut":
      return (
        <Both
          drawing={<Solution flake={n.flake_ml} spirit={n.spirit_ml} added={0} />}
          figures={[
            ["Flake", `${round(n.flake_g, 1)} g`],
            ["Spirit", `${round(n.spirit_ml)} ml`],
            ["A cut of", `${round(n.lb, 2)} lb, ${round(n.g_per_l)} g/L of spirit`],
            ["Solids", `${round(n.solids_percent, 1)} % by volume`],
            [
              "Dissolves",
              `${n.dissolving_h.standing.join("–")} h standing, ${n.dissolving_h.crushed[0]} h crushed, ${n.dissolving_h.tumbled[0]} h tumbled`,
            ],
          ]}
        />
      )
    case "thin":
      return (
        <Both
          drawing={
            <Bars
              rows={[
                [
                  `${n.percent} % of the base`,
                  [
                    [n.base_ml, FLAKE],
                    [n.of_base_ml, SPIRIT],
                  ],
                ],
                [
                  `${n.percent} % of the whole`,
                  [
                    [n.base_ml, FLAKE],
                    [n.of_total_ml, SPIRIT],
                  ],
                ],
              ]}
            />
          }
          figures={[
            [`${n.percent} % of the base`, `${round(n.of_base_ml)} ml, that is ${round(n.same_as_total, 1)} % of the whole`],
            [`${n.percent} % of the whole`, `${round(n.of_total_ml)} ml, that is ${round(n.same_as_base, 1)} % of the base`],
            ...(n.solids_of_base
              ? [["Solids left", `${round(n.solids_of_base, 1)} % or ${round(n.solids_of_total, 1)} %`] as [string, string]]
              : []),
          ]}
        />
      )
    case "share":
      return (
        <Both
          drawing={
            <Bars
              whole
              rows={[
                [
                  "by volume",
                  [
                    [n.base.total_volume, "#f4f0e4"],
                    [n.added.total_volume, FLAKE],
                  ],
                ],
                [
                  "by mass",
                  [
                    [n.base.total_mass, "#f4f0e4"],
                    [n.added.total_mass, FLAKE],
                  ],
                ],
              ]}
            />
          }
          figures={[
            ["To 100 of base, by volume", round(n.to_100.volume, 2)],
            ["To 100 of base, by mass", round(n.to_100.mass, 2)],
            ["Of the whole, by volume", `${round(n.added.total_volume, 2)} %`],
            ["Of the whole, by mass", `${round(n.added.total_mass, 2)} %`],
          ]}
        />
      )
    case "film":
      return (
        <Both
          drawing={<FilmOnWood wet={n.wet_um} dry={n.dry_um} />}
          figures={[
            ["Used", `${round(n.g_per_m2)} g/m²`],
            ["Wet film", `${round(n.wet_um)} µm, ${round(n.wet_mil, 1)} mil`],
            ["Dry film", `${round(n.dry_um)} µm, ${round(n.dry_mil, 1)} mil`],
          ]}
        />
      )
    case "spread":
      return (
        <Both
          drawing={<Squares all={n.m2_per_l} real={n.real_m2_per_l} />}
          figures={[
            ["A litre covers", `${round(n.m2_per_l, 1)} m² if all of it lands`],
            [`${round(n.landed_percent)} % lands`, `${round(n.real_m2_per_l, 1)} m²/L`],
            ["A US gallon", `${round(n.real_ft2_per_gal)} ft², of ${round(n.ft2_per_gal)}`],
          ]}
        />
      )
    default:
      return (
        <Both
          drawing={<Grains numbers={n} />}
          figures={[
            [n.grit, `${n.mean_um} µm mean grain`],
            ["Nearest on the other scale", `${n.other}, ${n.other_um} µm`],
          ]}
        />
      )
  }
}

function Both({ drawing, figures }: { drawing: ReactNode; figures: [string, string][] }) {
  return (
    <>
      <figure className="sum-drawing">{drawing}</figure>
      <dl className="sum-figures">
        {figures.map(([label, value], index) => (
          <div key={label} data-first={index === 0}>
            <dt>{label}</dt>
            <dd>{value}</dd>
          </div>
        ))}
      </dl>
    </>
  )
}

/** Spirit and flake stacked in a jar; what is added stands above the dashed line. */
function Solution({ flake, spirit, added }: { flake: number; spirit: number; added: number }) {
  const scale = 250 / (flake + spirit)
  const old = spirit - added
  const line = 280 - (flake + old) * scale
  return (
    <svg viewBox="0 0 260 300" aria-hidden="true">
      <rect x="40" y={280 - flake * scale} width="120" height={flake * scale} fill={FLAKE} stroke="#4a2f10" />
      <rect x="40" y={line} width="120" height={old * scale} fill={SPIRIT} stroke="#56626b" />
      {added > 0 && <rect x="40" y={30} width="120" height={added * scale} fill="url(#open)" stroke="#0a4e86" />}
      <path d="M36 12v264q0 6 6 6h116q6 0 6-6V12" fill="none" stroke="var(--ink)" strokeWidth="3" />
      {added > 0 && (
        <>
          <path d={`M30 ${line}h142`} stroke="var(--ink)" strokeDasharray="5 4" />
          <text x="176" y={30 + (added * scale) / 2} className="sum-label">
            add spirit
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
function Bars({ rows, whole }: { rows: [string, [number, string][]][]; whole?: boolean }) {
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
              return <rect key={fill} x={from} y={34 + row * 92} width={value * scale} height="44" fill={fill} stroke="#4a2f10" />
            })}
          </g>
        )
      })}
    </svg>
  )
}

function FilmOnWood({ wet, dry }: { wet: number; dry: number }) {
  const scale = Math.min(1, 190 / Math.max(wet, 1))
  const top = 220
  return (
    <svg viewBox="0 0 420 300" aria-hidden="true">
      <path d={`M10 ${top}h400v70H10z`} fill="#d9bb86" stroke="#1d2327" />
      <path d={`M10 ${top + 22}q200-14 400 4M10 ${top + 48}q200-18 400 0`} fill="none" stroke="#a9854d" />
      <rect x="40" y={top - wet * scale} width="150" height={wet * scale} fill="#f4f6f5" stroke="#4a2f10" />
      <rect x="230" y={top - dry * scale} width="150" height={dry * scale} fill="#ebb252" stroke="#4a2f10" />
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
function Squares({ all, real }: { all: number; real: number }) {
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
            <rect x={x} y={y} width={(size - 4) * part} height={size - 4} fill="#ebb252" />
            <rect
              x={x}
              y={y}
              width={(size - 4) * edge}
              height={size - 4}
              fill="none"
              stroke="#4a2f10"
              strokeDasharray={part < 1 ? "3 3" : undefined}
            />
          </g>
        )
      })}
    </svg>
  )
}

/** The two scales over one axis of grain size; the grit asked for and its neighbour are joined. */
function Grains({ numbers: n }: { numbers: Answer }) {
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
                  fill={on ? "#c9842d" : "#d9d2c2"}
                  stroke={on ? "#1d2327" : "#8b98a1"}
                  strokeWidth={on ? 2 : 1}
                />
                {(on || ["P80", "P240", "P3000", "80", "240", "1000"].includes(name)) && (
                  <text x={x(um)} y={y + (scale === "P" ? -20 : 32)} textAnchor="middle" className={on ? "glass-target" : "glass-label"}>
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
