import { Link } from "@inertiajs/react"
import type { ReactNode } from "react"
import { SelectField, Stepper } from "@/components/Field"
import { clock, duration } from "@/lib/time"
import { mass, roughMass, useUnits, volume } from "@/lib/units"
import { useBeginMix } from "@/mix/useBeginMix"
import type { Row, RowMix, Step } from "@/types"

type Fields = { [K in keyof Step]?: Step[K] | null }
type Props = {
  row: Row
  mix: RowMix
  step: Step
  zone: string
  /** How far it is thinned, as fields. */
  thinning: ReactNode
  onSet: (fields: Fields) => void
  near?: (fields: Fields) => void
  pending: (field: string) => boolean
  error: (field: string) => string | undefined
}

const GUNS: [string, string][] = [
  ["turbine", "turbine"],
  ["conventional", "conventional"],
  ["airless", "airless"],
  ["air_assisted", "air-assisted airless"],
  ["aerosol", "aerosol"],
]
const LEFT: Record<string, string> = {
  spray: "in gun and cup",
  brush: "in brush and pot",
  roller: "in the tray",
  applicator: "in the tray",
  wipe: "in the cloth",
  flood: "in the cloth",
  pad: "in the pad",
}
const FILL = ["var(--milk)", "var(--flake)", "var(--spirit)", "var(--umber)"]

/** What is mixed for the selected pass: how much, of what, in which pot, and whether the pot lasts. */
export function MixForPass({ row, mix, step, zone, thinning, onSet, near, pending, error }: Props) {
  const begin = useBeginMix()
  const [system] = useUnits()
  const pot = mix.batches[0]
  return (
    <section className="mix-for-pass" aria-label="Mix">
      <div>
        <h3 className="text-head">
          Mix {volume(mix.mixed_ml, system)}, {roughMass(mix.total_g, system)}
          {pot && pot.coats > 1 && `, for ${pot.coats} coats`}
        </h3>
        <p className="text-second text-fine">
          {pot && pot.coats > 1 && `${volume(mix.gross_ml, system)} of it for this coat: `}
          {volume(mix.laid_ml, system)} applied
          {mix.wiped
            ? ", most wiped off again"
            : `, ${mix.transfer_percent} % of it lands${row.own.lands ? " by the shop's own log" : ""}`}
          {mix.left_behind_ml > 0 && `; ${volume(mix.left_behind_ml, system)} left ${LEFT[mix.left_in] ?? "behind"}`}
          {mix.margin_percent > 0 && `; ${mix.margin_percent} % more to be sure`}
        </p>
        <svg viewBox="0 0 400 20" preserveAspectRatio="none" className="mix-bar" aria-hidden="true">
          {mix.pours.map((pour, index) => {
            const before = mix.pours.slice(0, index).reduce((sum, other) => sum + other.g, 0)
            return (
              <rect
                key={pour.name}
                x={(before / mix.total_g) * 400}
                y={1}
                width={(pour.g / mix.total_g) * 400}
                height={18}
                fill={FILL[index % FILL.length]}
                stroke="var(--film-line)"
                vectorEffect="non-scaling-stroke"
              />
            )
          })}
        </svg>
        <ul>
          {mix.pours.map((pour, index) => (
            <li key={pour.name} className="flex items-baseline gap-2">
              <span className="ui-swatch" style={{ background: FILL[index % FILL.length] }} />
              <span>{pour.name}</span>
              <b className="ml-auto whitespace-nowrap">{mass(pour.g, system, 0.1)}</b>
              <span className="text-second text-fine whitespace-nowrap">
                {pour.estimate ? "est." : volume(pour.ml, system)}
              </span>
            </li>
          ))}
        </ul>
        {!mix.known && <p className="caution-text text-fine">Its sheet does not say what it is mixed with.</p>}
      </div>
      <div>
        <h3 className="text-head">
          {pot
            ? mix.batches.length > 1
              ? `${mix.batches.length} batches`
              : pot.coats > 1
                ? `One batch for ${pot.coats} coats`
                : "One batch"
            : "Done"}
        </h3>
        {mix.batches.map((batch) => (
          <Life key={batch.id} batch={batch} zone={zone} />
        ))}
        {mix.efflux_s !== null && <p className="text-second text-fine mt-1">{mix.efflux_s} s in the efflux cup</p>}
        {mix.drops !== null && (
          <p className="text-second text-fine mt-1">
            about {mix.drops} drops to one piece; fewer from coat to coat as the wood fills
          </p>
        )}
        {mix.voc && (
          <p className="text-second text-fine mt-1">
            VOC {mix.voc.ready_g_per_l} g/L as applied, {mix.voc.less_water_g_per_l} g/L less water
          </p>
        )}
      </div>
      <div>
        {row.status === "planned" && (
          <div className="mix-fields">
            {thinning}
            {mix.hardener_range && (
              <Stepper
                label={`Hardener, parts (${mix.hardener_range.join(" to ")})`}
                value={mix.hardener_parts ?? 0}
                by={0.5}
                least={0.5}
                most={200}
                pending={pending("hardener_parts")}
                error={error("hardener_parts")}
                onChange={(hardener_parts) => onSet({ hardener_parts })}
                near={(hardener_parts) => near?.({ hardener_parts })}
              />
            )}
            {step.method === "spray" && (
              <SelectField
                label="Gun"
                value={step.gun ?? "turbine"}
                options={GUNS}
                onChange={(gun) => onSet({ gun: gun as Step["gun"] })}
              />
            )}
            <Stepper
              label="Batches for one coat"
              value={step.batches ?? 1}
              by={1}
              least={1}
              most={20}
              pending={pending("batches")}
              error={error("batches")}
              onChange={(batches) => onSet({ batches })}
              near={(batches) => near?.({ batches })}
            />
            {step.method === "spray" && (
              <label className="ui-check col-span-2">
                <input
                  type="checkbox"
                  checked={step.narrow ?? false}
                  onChange={(event) => onSet({ narrow: event.target.checked || null })}
                />
                Narrow, open work: much goes past
              </label>
            )}
          </div>
        )}
        {pot && (
          <button type="button" className="ui-button mt-2 w-full" onClick={() => void begin(row.key)}>
            {pot.coats > 1 && pot.first !== row.key ? "Mix the batch it shares" : "Mix it"}
          </button>
        )}
        {!pot && (
          <Link href="/mix" className="ui-button mt-2 w-full">
            Mixing desk
          </Link>
        )}
      </div>
    </section>
  )
}

/** The pot's usable life with the work it serves laid over it. */
function Life({ batch, zone }: { batch: RowMix["batches"][number]; zone: string }) {
  if (batch.usable_until === null)
    return (
      <p className="text-second">
        {batch.ml} ml at {clock(batch.mixed_at, zone)}; no pot life to watch.
      </p>
    )
  const whole = Math.max(batch.usable_until, batch.used_until) - batch.mixed_at
  const x = (minute: number) => ((minute - batch.mixed_at) / whole) * 300
  return (
    <div className="life-clock">
      <svg viewBox="0 0 300 22" preserveAspectRatio="none" aria-hidden="true">
        <rect
          x={0}
          y={4}
          width={x(batch.usable_until)}
          height={14}
          fill="url(#open)"
          stroke="var(--tape-ink)"
          vectorEffect="non-scaling-stroke"
        />
        {batch.short && (
          <rect
            x={x(batch.usable_until)}
            y={4}
            width={x(batch.used_until) - x(batch.usable_until)}
            height={14}
            fill="url(#shut)"
            stroke="var(--mark-stop)"
            vectorEffect="non-scaling-stroke"
          />
        )}
        <path
          d={`M0 11H${x(batch.used_until)}`}
          stroke="var(--paper-ink)"
          strokeWidth={4}
          vectorEffect="non-scaling-stroke"
        />
      </svg>
      <p className={batch.short ? "caution-text text-fine" : "text-second text-fine"}>
        mixed {clock(batch.mixed_at, zone)}, usable {duration(batch.usable_until - batch.mixed_at)} to{" "}
        {clock(batch.usable_until, zone)}, work ends {clock(batch.used_until, zone)}
      </p>
    </div>
  )
}
