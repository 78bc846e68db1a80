import { type FormEvent, useState } from "react"
import { mass, massParts, type System, volume } from "@/lib/units"
import type { Pot, Pour } from "@/types"
import type { Reading } from "./useScale"

type PourProps = {
  pour: Pour
  pot: Pot
  reading: Reading | null
  live: number
  offset: number
  system: System
  busy: boolean
  onTake: () => void
  onTyped: (typed: string) => Promise<boolean>
  onZero: () => void
}

/** Figures to be read at two metres: what the scale shows, what it should show. */
export function ThisPour({ pour, pot, reading, live, offset, system, busy, onTake, onTyped, onZero }: PourProps) {
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
        <span className="text-second">
          {mass(pour.low_add_g + offset, system, step)} – {mass(pour.high_add_g + offset, system, step)}
        </span>
      </p>
      <p className="mix-say" role="status">
        {say}
      </p>
      <div className="mix-actions">
        <button
          type="button"
          className="ui-tape"
          data-space
          disabled={silent || !stable || live <= 0 || busy}
          onClick={onTake}
        >
          {live > pour.high_add_g ? "Take it so" : inside ? "Poured" : "Take this"}
          <span className="text-fine">space</span>
        </button>
        <button type="button" className="ui-button" data-size="bench" onClick={onZero}>
          Zero
        </button>
      </div>
      <Typed hint={massParts(pour.add_g, system, step).join(" ")} busy={busy} onTyped={onTyped} />
    </>
  )
}

/** Without a scale: to the line of a cup. */
export function ByVolume({
  pour,
  system,
  busy,
  onPoured,
  onTyped,
}: {
  pour: Pour
  system: System
  busy: boolean
  onPoured: () => void
  onTyped: (typed: string) => Promise<boolean>
}) {
  const ml = pour.add_ml
  const [number, ...unit] = volume(ml, system).split(" ")
  return (
    <>
      <p className="mix-what">
        Pour <b>{pour.name}</b>
      </p>
      <p className="mix-reading" data-long={(number ?? "").length > 4} data-state="under">
        {number}
        <small>{unit.join(" ")}</small>
      </p>
      <p className="mix-target">
        <span className="text-second">
          {volume(pour.low_add_ml, system)} – {volume(pour.high_add_ml, system)}
        </span>
      </p>
      <p className="mix-say">To the line, read at eye level.</p>
      <div className="mix-actions">
        <button type="button" className="ui-tape" data-space disabled={busy} onClick={onPoured}>
          Poured to the line
          <span className="text-fine">space</span>
        </button>
      </div>
      <Typed hint={volume(ml, system)} busy={busy} onTyped={onTyped} />
    </>
  )
}

/** A reading by hand: grams unless it says otherwise. */
function Typed({ hint, busy, onTyped }: { hint: string; busy: boolean; onTyped: (typed: string) => Promise<boolean> }) {
  const [typed, setTyped] = useState("")
  const submit = (event: FormEvent) => {
    event.preventDefault()
    if (typed.trim()) void onTyped(typed).then((taken) => taken && setTyped(""))
  }
  return (
    <form onSubmit={submit} className="mix-typed">
      <label htmlFor="typed-reading">or type it</label>
      <input
        id="typed-reading"
        className="ui-input"
        value={typed}
        placeholder={hint}
        autoComplete="off"
        onChange={(event) => setTyped(event.target.value)}
      />
      <button type="submit" className="ui-button" disabled={busy || !typed.trim()}>
        Enter
      </button>
    </form>
  )
}
