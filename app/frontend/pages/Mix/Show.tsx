import { Head, Link, usePage } from "@inertiajs/react"
import { type FormEvent, useEffect, useState } from "react"
import { Cautions } from "@/components/Cautions"
import { Shell, useNow } from "@/components/Shell"
import { Patterns } from "@/drawing/Patterns"
import { useKeys } from "@/lib/keys"
import { mass, massParts, type System, useUnits } from "@/lib/units"
import { Hand } from "@/mix/Hand"
import { PotDrawing } from "@/mix/PotDrawing"
import { PotLife } from "@/mix/PotLife"
import { PourGlass } from "@/mix/PourGlass"
import { PourList } from "@/mix/PourList"
import { Timers } from "@/mix/Timers"
import { useMix } from "@/mix/useMix"
import { type Reading, type Scale, useScale } from "@/mix/useScale"
import { WaysOn } from "@/mix/WaysOn"
import type { Pot, Pour } from "@/types"

const KEYS: [string, string][] = [
  ["Space", "Take the reading as poured"],
  ["Z", "Zero the scale"],
  ["U", "Grams or ounces"],
]

type Props = { pot: Pot; scale: Scale }

/** The mixing desk: the pot fills, the scale is read, the next pour follows what really went in. */
export default function MixShow({ pot: first, scale }: Props) {
  const { shop } = usePage<{ shop: { zone: string; now: number; currency: string } }>().props
  const { pot, trouble, busy, touch, calm } = useMix(first)
  const { reading, zero, hand } = useScale(!pot.closed)
  const [system, setSystem] = useUnits()
  const [running, setRunning] = useState(() => localStorage.getItem("rhexon.scale") === "running")
  const [chosen, setChosen] = useState<string | null>(null)
  const [way, setWay] = useState("top_up")
  const now = useNow(shop.now)
  const open = pot.pours.filter((pour) => pour.state !== "done")
  const current = pot.closed ? null : (open.find((pour) => pour.name === chosen) ?? open[0] ?? null)
  const offset = running ? pot.poured_g : 0
  const live = reading && "grams" in reading ? reading.grams - offset : 0

  // A mix that has not begun starts from an empty scale.
  // biome-ignore lint/correctness/useExhaustiveDependencies: once, when the page opens
  useEffect(() => {
    if (scale.stand_in && !pot.closed && !running) void zero()
  }, [])

  const pour = async (body: Record<string, unknown>) => {
    if (!current) return
    if (await touch("pours", { name: current.name, ...body })) {
      setChosen(null)
      setWay("top_up")
      if (!running && "g" in body) await zero()
    }
  }
  const takeReading = () => reading && "grams" in reading && reading.stable && live > 0 && void pour({ g: Math.round(live * 100) / 100 })
  const goOn = (kind: string) => {
    setWay(kind)
    if (kind !== "top_up") void touch("way", { kind })
  }
  useKeys({
    " ": () => (document.querySelector("[data-space]") as HTMLButtonElement | null)?.click(),
    z: () => void zero(),
    u: () => setSystem(system === "us" ? "metric" : "us"),
  })
  return (
    <Shell keys={KEYS}>
      <Head title={`Mix ${pot.name}`} />
      <Patterns />
      <header className="page-head">
        <div className="min-w-0">
          <h1 className="title">{pot.name}</h1>
          <p className="sub">
            {pot.serves.length ? pot.serves.join(" · ") : "mixed by itself"}
            {pot.piece_id && (
              <>
                {" · "}
                <Link href={`/pieces/${pot.piece_id}/schedule`} className="underline underline-offset-2">
                  Schedule
                </Link>
              </>
            )}
          </p>
        </div>
        <div className="ml-auto flex flex-wrap gap-2">
          <Switch
            label="Units"
            value={system}
            options={[
              ["metric", "g"],
              ["us", "oz"],
            ]}
            onChange={(next) => setSystem(next as System)}
          />
          <Switch
            label="Scale"
            value={running ? "running" : "zeroed"}
            options={[
              ["zeroed", "zeroed each pour"],
              ["running", "running total"],
            ]}
            onChange={(next) => {
              localStorage.setItem("rhexon.scale", next)
              setRunning(next === "running")
            }}
          />
        </div>
      </header>
      {trouble && (
        <div className="trouble" role="alert">
          <p>{trouble}</p>
          <button type="button" className="button" onClick={calm}>
            All right
          </button>
        </div>
      )}
      <div className="mix-grid">
        <PotDrawing pot={pot} current={current} live={current ? live : 0} system={system} />
        {current && (
          <PourGlass pour={current} live={live} resolution={scale.resolution_g} system={system} silent={!reading || "silent" in reading} />
        )}
        <section className="mix-now lit" aria-label="This pour">
          {current ? (
            <ThisPour
              pour={current}
              pot={pot}
              reading={reading}
              live={live}
              offset={offset}
              system={system}
              busy={busy}
              onTake={takeReading}
              onTyped={(typed) => pour({ typed })}
              onZero={() => void zero()}
            />
          ) : (
            <Finished pot={pot} system={system} busy={busy} onFinish={() => void touch("finish")} />
          )}
        </section>
        <section className="mix-side">
          <PourList pot={pot} current={current} system={system} onChoose={setChosen} />
          <WaysOn options={pot.options} chosen={way} currency={shop.currency} onChoose={goOn} />
          <PotLife pot={pot} now={now} zone={shop.zone} />
          {!pot.closed && (pot.complete || pot.hardened_at !== null) && <Timers pot={pot} />}
          {pot.too_small && (
            <p className="caution-text mt-2">
              Too little to weigh on this scale: from {mass(pot.smallest_total_g, system)} on every share is inside its tolerance.
            </p>
          )}
        </section>
      </div>
      <footer className="mix-foot">
        {pot.log.length > 0 && !pot.closed && (
          <button type="button" className="button" onClick={() => void touch("take_back", { entry: pot.log.at(-1)?.id })}>
            Take back: {mass(pot.log.at(-1)?.grams ?? 0, system, scale.resolution_g)} of {pot.log.at(-1)?.name}
          </button>
        )}
        {!pot.closed && (
          <button type="button" className="button" data-quiet onClick={() => void touch("discard")}>
            {pot.poured_g > 0 ? "Throw this mix away" : "Leave this mix"}
          </button>
        )}
        {scale.stand_in && !pot.closed && current && <Hand hand={hand} target={current.add_g} />}
      </footer>
      <Cautions texts={pot.cautions} />
    </Shell>
  )
}

function Switch(props: { label: string; value: string; options: [string, string][]; onChange: (value: string) => void }) {
  return (
    <fieldset className="switch">
      <legend className="sr-only">{props.label}</legend>
      {props.options.map(([value, words]) => (
        <button key={value} type="button" aria-pressed={value === props.value} onClick={() => props.onChange(value)}>
          {words}
        </button>
      ))}
    </fieldset>
  )
}

type PourProps = {
  pour: Pour
  pot: Pot
  reading: Reading | null
  live: number
  offset: number
  system: System
  busy: boolean
  onTake: () => void
  onTyped: (typed: string) => Promise<void>
  onZero: () => void
}

/** Figures to be read at two metres: what the scale shows, what it should show. */
function ThisPour({ pour, pot, reading, live, offset, system, busy, onTake, onTyped, onZero }: PourProps) {
  const [typed, setTyped] = useState("")
  const step = pot.resolution_g
  const silent = !reading || "silent" in reading
  const stable = reading && "grams" in reading && reading.stable
  const [number, unit] = massParts(silent ? 0 : live + offset, system, step)
  const inside = live >= pour.low_add_g && live <= pour.high_add_g
  const say = silent
    ? reading
      ? reading.silent
      : "Reading the scale"
    : live > pour.high_add_g
      ? `${mass(live - pour.add_g, system, step)} too much`
      : inside
        ? stable
          ? "In the band"
          : "In the band, settling"
        : live < 0
          ? "Below zero: zero the scale"
          : `${mass(pour.add_g - live, system, step)} to go`
  const submit = (event: FormEvent) => {
    event.preventDefault()
    if (typed.trim()) void onTyped(typed).then(() => setTyped(""))
  }
  return (
    <>
      <p className="mix-what">
        Pour <b>{pour.name}</b>
      </p>
      <p
        className="mix-reading"
        data-state={silent ? "silent" : live > pour.high_add_g ? "over" : inside ? "inside" : "under"}
        aria-live="off"
      >
        {silent ? "– – –" : number}
        <small>{silent ? "" : unit}</small>
      </p>
      <p className="mix-target">
        to <b>{mass(pour.add_g + offset, system, step)}</b>
        <span className="sub">
          {mass(pour.low_add_g + offset, system, step)} – {mass(pour.high_add_g + offset, system, step)}
        </span>
      </p>
      <p className="mix-say" role="status">
        {say}
      </p>
      <div className="mix-actions">
        <button type="button" className="tape" data-space disabled={silent || !stable || live <= 0 || busy} onClick={onTake}>
          {live > pour.high_add_g ? "Take it so" : inside ? "Poured" : "Take this"}
          <span className="small">space</span>
        </button>
        <button type="button" className="button" data-size="bench" onClick={onZero}>
          Zero
        </button>
      </div>
      <form onSubmit={submit} className="mix-typed">
        <label htmlFor="typed-reading">or type it</label>
        <input
          id="typed-reading"
          className="input"
          value={typed}
          placeholder={`${massParts(pour.add_g, system, step).join(" ")}`}
          autoComplete="off"
          onChange={(event) => setTyped(event.target.value)}
        />
        <button type="submit" className="button" disabled={busy || !typed.trim()}>
          Enter
        </button>
      </form>
    </>
  )
}

function Finished({ pot, system, busy, onFinish }: { pot: Pot; system: System; busy: boolean; onFinish: () => void }) {
  if (pot.thrown_away)
    return (
      <>
        <p className="mix-what">Thrown away</p>
        <p className="sub mb-4">What was poured is off the shelf.</p>
        <Link href="/mix" className="button" data-size="bench">
          Back to the desk
        </Link>
      </>
    )
  if (pot.batch)
    return (
      <>
        <p className="mix-what">On the shelf as</p>
        <p className="mix-reading" data-state="inside">
          {pot.batch.code}
        </p>
        <p className="mix-target">
          <b>{mass(pot.batch.left_g, system, pot.resolution_g)}</b>
          <span className="sub">left in it</span>
        </p>
        <div className="mix-actions">
          <Link href={`/batches/${pot.batch.id}`} className="tape">
            Jar and label
          </Link>
          <Link href="/bench" className="button" data-size="bench">
            To the bench
          </Link>
        </div>
      </>
    )
  return (
    <>
      <p className="mix-what">All is in</p>
      <p className="mix-reading" data-state="inside">
        {massParts(pot.poured_g, system, pot.resolution_g)[0]}
        <small>{massParts(pot.poured_g, system, pot.resolution_g)[1]}</small>
      </p>
      <p className="mix-say">{pot.steps.length ? "Stir and rest, then set it on the shelf." : "Set it on the shelf with its label."}</p>
      <div className="mix-actions">
        <button type="button" className="tape" data-space disabled={busy} onClick={onFinish}>
          Mixed: to the shelf
          <span className="small">space</span>
        </button>
      </div>
    </>
  )
}
