import { Head, Link } from "@inertiajs/react"
import { useEffect, useState } from "react"
import { Against } from "@/components/Against"
import { Cautions } from "@/components/Cautions"
import { Shell, useNow } from "@/components/Shell"
import { Switch } from "@/components/Switch"
import { Trouble } from "@/components/Trouble"
import { Patterns } from "@/drawing/Patterns"
import { recall, remember } from "@/lib/device"
import { useKeys } from "@/lib/keys"
import { usePaper } from "@/lib/paper"
import { useShop } from "@/lib/shop"
import { mass, type System, useUnits } from "@/lib/units"
import { Finished } from "@/mix/Finished"
import { Hand } from "@/mix/Hand"
import { PotDrawing } from "@/mix/PotDrawing"
import { PotLife } from "@/mix/PotLife"
import { PourGlass } from "@/mix/PourGlass"
import { PourList } from "@/mix/PourList"
import { ByVolume, ThisPour } from "@/mix/ThisPour"
import { Timers } from "@/mix/Timers"
import { goOnAt, useMix } from "@/mix/useMix"
import { useScale } from "@/mix/useScale"
import { WaysOn } from "@/mix/WaysOn"
import type { MixPage } from "@/types"

const KEYS: [string, string][] = [
  ["Space", "Take the reading as poured"],
  ["Z", "Zero the scale"],
  ["U", "Grams or ounces"],
]

const MODES = ["zeroed", "running", "volume"] as const
type Mode = (typeof MODES)[number]

/** The mixing desk: the pot fills, the scale is read, the next pour follows what really went in. */
export default function MixShow({ pot: first, scale, against, kept_at }: MixPage & { kept_at?: number }) {
  const shop = useShop()
  const paper = usePaper()
  const { pot, last, outside, on, trouble, busy, touch, dismiss } = useMix(first, kept_at)
  useEffect(() => {
    if (on) goOnAt(on)
  }, [on])
  const { reading, zero, hand } = useScale(!pot.closed)
  const [system, setSystem] = useUnits()
  const [mode, setMode] = useState<Mode>(() => MODES.find((mode) => mode === recall("rhexon.scale")) ?? "zeroed")
  const running = mode === "running"
  const [chosen, setChosen] = useState<string | null>(null)
  const [way, setWay] = useState("top_up")
  const now = useNow(shop.now, kept_at)
  const open = pot.pours.filter((pour) => pour.state !== "done")
  const current = pot.closed || outside ? null : (open.find((pour) => pour.name === chosen) ?? open[0] ?? null)
  const offset = running ? pot.poured_g : 0
  const live = mode !== "volume" && reading && "grams" in reading ? reading.grams - offset : 0

  // A mix that has not begun starts from an empty scale.
  // biome-ignore lint/correctness/useExhaustiveDependencies: once, when the page opens
  useEffect(() => {
    if (scale.stand_in && !pot.closed && !running) void zero()
  }, [])

  const pour = async (body: Record<string, unknown>): Promise<boolean> => {
    if (!current || !(await touch("pours", { name: current.name, ...body }))) return false
    setChosen(null)
    setWay("top_up")
    if (mode === "zeroed" && "g" in body) await zero()
    return true
  }
  const takeReading = () =>
    reading && "grams" in reading && reading.stable && live > 0 && void pour({ g: Math.round(live * 100) / 100 })
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
          <h1 className="text-title">{pot.name}</h1>
          <p className="text-second">
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
          <a href={paper(`/mix/${pot.id}/sheet`)} className="ui-button" target="_blank" rel="noreferrer">
            On paper
          </a>
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
            value={mode}
            options={[
              ["zeroed", "zeroed each pour"],
              ["running", "running total"],
              ["volume", "by volume"],
            ]}
            onChange={(next) => {
              remember("rhexon.scale", next)
              setMode(next as Mode)
            }}
          />
        </div>
      </header>
      <Trouble sentence={trouble} onRead={dismiss} />
      <div className="mix-grid">
        <PotDrawing pot={pot} current={current} live={current ? live : 0} system={system} />
        {current && (
          <PourGlass
            pour={current}
            live={live}
            resolution={scale.resolution_g}
            system={system}
            silent={!reading || "silent" in reading}
          />
        )}
        <section className="mix-now surface-lit" aria-label="This pour">
          {current && mode === "volume" ? (
            <ByVolume
              pour={current}
              system={system}
              busy={busy}
              onPoured={() => void pour({ g: current.add_g })}
              onTyped={(typed) => pour({ typed })}
            />
          ) : current ? (
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
          ) : outside ? (
            <p className="mix-say">
              {outside} was poured outside its band. What the others need is reckoned by the shop's computer, which does
              not answer: pour nothing on it until then, or take the pour back.
            </p>
          ) : (
            <Finished pot={pot} system={system} busy={busy} onFinish={() => void touch("finish")} />
          )}
        </section>
        <section className="mix-side">
          <PourList pot={pot} current={current} system={system} onChoose={setChosen} />
          <WaysOn options={pot.complete ? [] : pot.options} chosen={way} currency={shop.currency} onChoose={goOn} />
          {!pot.closed && <Against said={against} />}
          <PotLife pot={pot} now={now} zone={shop.zone} />
          {!pot.closed && (pot.complete || pot.hardened_at !== null) && <Timers pot={pot} />}
          {pot.too_small && (
            <p className="caution-text mt-2">
              Too little to weigh on this scale: from {mass(pot.smallest_total_g, system)} on every share is inside its
              tolerance.
            </p>
          )}
        </section>
      </div>
      <footer className="mix-foot">
        {last && !pot.closed && (
          <button type="button" className="ui-button" onClick={() => void touch("take_back", last.takesBack)}>
            Take back: {mass(last.grams, system, scale.resolution_g)} of {last.name}
          </button>
        )}
        {!pot.closed && (
          <button type="button" className="ui-button" data-quiet onClick={() => void touch("discard")}>
            {pot.poured_g > 0 ? "Throw this mix away" : "Leave this mix"}
          </button>
        )}
        {scale.stand_in && mode !== "volume" && !pot.closed && current && <Hand hand={hand} target={current.add_g} />}
      </footer>
      <Cautions texts={pot.cautions} />
    </Shell>
  )
}
