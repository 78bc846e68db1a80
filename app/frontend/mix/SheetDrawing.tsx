import { drawing } from "@/components/Broken"
import { mass, useUnits, volume } from "@/lib/units"

export type Sheet = {
  pours: { name: string; g: number; ml: number; low_g: number; high_g: number; running_g: number; estimate: boolean }[]
  total_g: number
  total_ml: number
  too_small: boolean
  smallest_total_g: number
  estimate: boolean
  limiting: string | null
  shares: Record<string, { base_volume: number; base_mass: number; total_volume: number; total_mass: number }>
  thinner_ml: { base: number; total?: number } | null
  raw_materials: { name: string; mass_percent: number }[]
}

const FILL = ["var(--milk)", "var(--flake)", "var(--spirit)", "var(--umber)", "var(--kraft)", "var(--slate)"]

/** The mix as two bars, by volume and by mass: the same parts are not the same share. All four readings stand below. */
export const SheetDrawing = drawing("The mix", Drawn)

function Drawn({ sheet, faded }: { sheet: Sheet; faded: boolean }) {
  const [system] = useUnits()
  return (
    <figure className="sheet-drawing" data-faded={faded}>
      {(["total_volume", "total_mass"] as const).map((reading) => (
        <div key={reading} className="share-bar">
          <span className="text-fine text-second">{reading === "total_volume" ? "by volume" : "by mass"}</span>
          <svg viewBox="0 0 400 30" preserveAspectRatio="none" aria-hidden="true">
            {sheet.pours.map((pour, index) => {
              const before = sheet.pours
                .slice(0, index)
                .reduce((sum, other) => sum + (sheet.shares[other.name]?.[reading] ?? 0), 0)
              return (
                <rect
                  key={pour.name}
                  x={before * 4}
                  y={1}
                  width={(sheet.shares[pour.name]?.[reading] ?? 0) * 4}
                  height={28}
                  fill={FILL[index % FILL.length]}
                  stroke="var(--film-line)"
                  vectorEffect="non-scaling-stroke"
                />
              )
            })}
          </svg>
        </div>
      ))}
      <table className="sheet-table">
        <thead>
          <tr>
            <th>Pour</th>
            <th className="text-number">target</th>
            <th className="text-number">from – to</th>
            <th className="text-number">ml</th>
            <th className="text-number">to 100 base, vol | mass</th>
            <th className="text-number">% of total, vol | mass</th>
          </tr>
        </thead>
        <tbody>
          {sheet.pours.map((pour, index) => {
            const share = sheet.shares[pour.name]
            return (
              <tr key={pour.name}>
                <td>
                  <span className="ui-swatch" style={{ background: FILL[index % FILL.length] }} /> {pour.name}
                  {pour.estimate && <span className="text-second text-fine"> density est.</span>}
                </td>
                <td className="text-number">
                  <b>{mass(pour.g, system, 0.1)}</b>
                </td>
                <td className="text-number">
                  {mass(pour.low_g, system, 0.1)} – {mass(pour.high_g, system, 0.1)}
                </td>
                <td className="text-number">{volume(pour.ml, system)}</td>
                <td className="text-number">
                  {share && `${share.base_volume.toFixed(1)} | ${share.base_mass.toFixed(1)}`}
                </td>
                <td className="text-number">
                  {share && `${share.total_volume.toFixed(1)} | ${share.total_mass.toFixed(1)}`}
                </td>
              </tr>
            )
          })}
        </tbody>
      </table>
      <figcaption className="text-second mt-1">
        {volume(sheet.total_ml, system)}, {mass(sheet.total_g, system, 0.1)} in all.
        {sheet.raw_materials.length > sheet.pours.length &&
          ` Raw materials by mass: ${sheet.raw_materials.map((raw) => `${raw.name} ${raw.mass_percent.toFixed(1)} %`).join(", ")}.`}
        {sheet.thinner_ml?.total !== undefined &&
          ` The same per cent is ${volume(sheet.thinner_ml.base, system)} of the base or ${volume(sheet.thinner_ml.total, system)} of the total: make sure which one the sheet means.`}
        {sheet.too_small && (
          <span className="caution-text">
            {" "}
            Too little to weigh on this scale: mix at least {mass(Math.ceil(sheet.smallest_total_g), system)}.
          </span>
        )}
      </figcaption>
    </figure>
  )
}
