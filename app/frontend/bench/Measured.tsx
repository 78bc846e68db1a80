import { Dialog } from "radix-ui"
import { useState } from "react"
import { TextField } from "@/components/Field"
import { MeasureField } from "@/components/MeasureField"
import { Panel } from "@/components/Panel"
import { massMeasure, useMeasures, useUnits } from "@/lib/units"
import type { BenchRow } from "@/types"
import { FromInstrument } from "./FromInstrument"
import type { Touch } from "./touch"
import { lowerFirst } from "./words"

type Props = { row: BenchRow; now: number; quiet?: boolean; onTouch: (touch: Touch) => void }

const GUN = [
  ["tip_mm", "Tip, mm", 0.1, 10],
  ["bar", "Pressure, bar", 0.01, 500],
  ["passes", "Passes", 1, 50],
] as const

const EMPTY = { before: "", after: "", surface: "", efflux: "", tip_mm: "", bar: "", passes: "" }
type Typed = typeof EMPTY

/** Comb, pot before and after, surface and gun of a coat, as they are read: the film and the plan follow them. */
export function Measured({ row, now, quiet = false, onTouch }: Props) {
  const { film, temperature } = useMeasures()
  const [system] = useUnits()
  const pot = massMeasure(system)
  const [open, setOpen] = useState(false)
  const [combs, setCombs] = useState<number[]>([])
  const [typed, setTyped] = useState<Typed>(EMPTY)
  const field = (name: keyof Typed) => (value: string) => setTyped((before) => ({ ...before, [name]: value }))
  const taken = read(typed, combs)
  const wrong = wrongs(typed)
  const keep = () => {
    onTouch({ kind: "measured", pass: row.key, ...taken })
    setCombs([])
    setTyped(EMPTY)
    setOpen(false)
  }
  return (
    <Panel
      title={`Measured of ${lowerFirst(row.words)}`}
      open={open}
      onOpenChange={setOpen}
      trigger={
        <Dialog.Trigger asChild>
          <button
            type="button"
            className={quiet ? "ui-button slab-fault" : "ui-button"}
            data-size={quiet ? undefined : "bench"}
            data-quiet={quiet || undefined}
          >
            Measure
          </button>
        </Dialog.Trigger>
      }
      action={
        <button
          type="button"
          className="ui-tape"
          disabled={Object.keys(taken).length === 0 || Object.keys(wrong).length > 0}
          onClick={keep}
        >
          Take it down
        </button>
      }
    >
      <fieldset className="bench-comb">
        <legend>
          Comb: the last tooth that is wet, as often as it is read
          {row.wet_um ? `; ${film.text(row.wet_um)} were to be laid on` : ""}
        </legend>
        <div className="bench-teeth">
          {teeth(row.wet_um ?? 100).map((um) => (
            <button
              key={um}
              type="button"
              data-state={combs.includes(um) ? "on" : "off"}
              onClick={() => setCombs([...combs, um])}
            >
              {film.number(um, 1)}
            </button>
          ))}
        </div>
        <p className="text-second" role="status">
          {combs.length > 0
            ? `${combs.map((um) => film.number(um, 1)).join(", ")} ${film.unit}: ${film.text(mean(combs), 1)} wet`
            : row.measured.comb_um
              ? `Read before: ${row.measured.comb_um.map((um) => film.number(um, 1)).join(", ")} ${film.unit}`
              : `Nothing read yet, ${film.unit}`}
          {combs.length > 0 && (
            <button type="button" className="ui-button" data-quiet onClick={() => setCombs(combs.slice(0, -1))}>
              Without the last
            </button>
          )}
        </p>
        <FromInstrument
          kind="comb"
          near={row.wet_um ? [row.wet_um] : undefined}
          now={now}
          onValues={(values) => setCombs([...combs, ...values.flat()])}
        />
      </fieldset>
      <div className="bench-measures">
        <MeasureField
          label="Pot before"
          measure={pot}
          value={typed.before}
          error={wrong.before}
          onChange={field("before")}
        />
        <MeasureField
          label="Pot after"
          measure={pot}
          value={typed.after}
          error={wrong.after}
          onChange={field("after")}
        />
        <MeasureField
          label="Surface"
          measure={temperature}
          value={typed.surface}
          error={wrong.surface}
          onChange={field("surface")}
        />
        <TextField label="Efflux, s" value={typed.efflux} error={wrong.efflux} onChange={field("efflux")} />
        {row.method === "spray" &&
          GUN.map(([name, label]) => (
            <TextField key={name} label={label} value={typed[name]} error={wrong[name]} onChange={field(name)} />
          ))}
      </div>
      <FromInstrument
        kind="efflux"
        now={now}
        onValues={(values) => field("efflux")(String(values.at(-1)?.[0] ?? ""))}
      />
    </Panel>
  )
}

/** The teeth of a comb around what was to be laid on. */
function teeth(wet: number): number[] {
  const step = wet <= 40 ? 5 : wet <= 120 ? 10 : 25
  const first = Math.max(step, Math.round((wet - 3 * step) / step) * step)
  return Array.from({ length: 8 }, (_, index) => first + index * step)
}

const mean = (read: number[]) => read.reduce((sum, um) => sum + um, 0) / read.length
const number = (text: string) => (text.trim() === "" ? undefined : Number(text.replace(",", ".")))

/** What a touch carries of it; what is half filled in is left out. */
function read(typed: Typed, combs: number[]): Partial<Touch> {
  const [before, after, surface, efflux] = [typed.before, typed.after, typed.surface, typed.efflux].map(number)
  const gun: Record<string, number> = {}
  for (const [name] of GUN) {
    const value = number(typed[name])
    if (value !== undefined) gun[name] = value
  }
  return {
    ...(combs.length > 0 ? { comb_um: combs } : {}),
    ...(before !== undefined && after !== undefined ? { pot_g: [before, after] as [number, number] } : {}),
    ...(surface !== undefined ? { surface_c: surface } : {}),
    ...(efflux !== undefined ? { efflux_s: efflux } : {}),
    ...(Object.keys(gun).length > 0 ? { gun } : {}),
  }
}

function wrongs(typed: Typed): Partial<Typed> {
  const [before, after, surface, efflux] = [typed.before, typed.after, typed.surface, typed.efflux].map(number)
  const half = (before === undefined) !== (after === undefined)
  const out = (value: number | undefined, least: number, most: number) =>
    value !== undefined && !(value >= least && value <= most)
  return {
    ...(half ? { after: "Both weights are needed." } : {}),
    ...(before !== undefined && after !== undefined && !(after < before) ? { after: "Less than before." } : {}),
    ...(out(surface, -20, 80) ? { surface: "-20 to 80 °C." } : {}),
    ...(out(efflux, 5, 600) ? { efflux: "5 to 600 s." } : {}),
    ...Object.fromEntries(
      GUN.filter(([name, , least, most]) => out(number(typed[name]), least, most)).map(([name, , least, most]) => [
        name,
        `${least} to ${most}.`,
      ]),
    ),
  }
}
