import { Head } from "@inertiajs/react"
import { useState } from "react"
import { ErrorText } from "@/components/ErrorText"
import { Shell } from "@/components/Shell"
import { Switch } from "@/components/Switch"
import { send as request } from "@/lib/api"
import { useSend } from "@/lib/requests"
import { Dried } from "@/record/Dried"
import { PaceRows, ShareRows } from "@/record/PaceRows"
import { RecordHead } from "@/record/RecordHead"
import { SaidPaces } from "@/record/SaidPaces"
import type { OwnFiguresPage } from "@/types"

const FIGURES = "/record/figures"
const PLAN_ON: [string, string][] = [
  ["50", "every other time"],
  ["75", "three of four"],
  ["90", "nine of ten"],
]

const SHARES: Record<string, string> = {
  transfer: "What lands on the work, by comb and pot",
  abrasion: "What hands rub off, by the film gauge",
}

/** What the shop's own log has taught, drawn beside the sheets; all of it is what plans reckon with. */
export default function OwnFigures(first: OwnFiguresPage) {
  const [state, setState] = useState(first)
  const { drying, noise, pace, shares, rounds, drops, zone } = state
  const { send, busy, error } = useSend()
  const forget = (product: string, phase: string, again: boolean) =>
    void send(() => request<OwnFiguresPage>(again ? "DELETE" : "POST", FIGURES, { product, phase }), setState)
  const say = (work: string, factor: number | null) =>
    void send(() => request<OwnFiguresPage>("POST", "/record/paces", { work, factor }), setState)
  const planOn = (value: string) =>
    void send(
      () => request("POST", "/shop/house", { rule: "plan_on", value: Number(value) }),
      () => setState({ ...state, plan_on: value }),
    )
  return (
    <Shell>
      <Head title="The shop's own figures" />
      <RecordHead here={FIGURES} facts="What the log has taught beside what the sheets say: plans reckon with it.">
        <a href={`${FIGURES}.json`} className="ui-button" download>
          Save as JSON
        </a>
      </RecordHead>
      <ErrorText reason={error} />
      <div className="own-grid">
        <section aria-label="Drying" className="ruled pt-2">
          <h2 className="text-head">How long things dry here, of what their sheets say</h2>
          <p className="text-second text-fine">
            Each stroke is a coat, between its last "not yet" and its first "dry"; the band holds eight coats of ten,
            the line is what plans take.
          </p>
          {drying.length === 0 && (
            <p className="mt-3">
              Nothing yet. A dry test at the bench, once before it is expected to be dry and once when it is, teaches
              most.
            </p>
          )}
          {drying.map((one) => (
            <Dried
              key={`${one.product} ${one.phase}`}
              dried={one}
              zone={zone}
              busy={busy}
              onForget={(again) => forget(one.product, one.phase, again)}
            />
          ))}
        </section>
        <div className="own-side">
          <section aria-label="Safety of plans" className="ruled pt-2">
            <h2 className="text-head">Plans take times that hold</h2>
            <Switch label="Plans take times that hold" value={state.plan_on} options={PLAN_ON} onChange={planOn} />
            <p className="text-second text-fine mt-2">
              {noise.coats >= noise.wanted
                ? `Coats vary by ${percent(noise.sd)} here, as ${noise.coats} of them show; usual is ${percent(noise.usual)}.`
                : `Coats are taken to vary by ${percent(noise.usual)} until ${noise.wanted} of them were looked at twice; ${noise.coats} so far.`}
            </p>
          </section>
          <section aria-label="Hands" className="ruled pt-2">
            <h2 className="text-head">Hands-on time here, times the estimate</h2>
            <PaceRows pace={pace} />
            <SaidPaces said={state.said} works={state.works} said_range={state.said_range} busy={busy} onSay={say} />
          </section>
          {shares.map(({ what, ways }) => (
            <section key={what} aria-label={SHARES[what]} className="ruled pt-2">
              <h2 className="text-head">{SHARES[what]}</h2>
              <ShareRows ways={ways} />
            </section>
          ))}
          {rounds.length > 0 && (
            <section aria-label="Rounds" className="ruled pt-2">
              <h2 className="text-head">Rounds until it looked right</h2>
              <ul>
                {rounds.map((one) => (
                  <li key={one.words}>
                    {one.words}: <b>{one.mean}</b> in the mean of {one.loops}, {one.most} at most
                  </li>
                ))}
              </ul>
            </section>
          )}
          {drops.length > 0 && (
            <section aria-label="Drops" className="ruled pt-2">
              <h2 className="text-head">Drops of rubbed oil, coat by coat</h2>
              <ul>
                {drops.map((one) => (
                  <li key={one.piece}>
                    {one.piece}: {one.drops.join(", ")}
                  </li>
                ))}
              </ul>
            </section>
          )}
        </div>
      </div>
    </Shell>
  )
}

const percent = (sd: number) => `${Math.round((Math.exp(sd) - 1) * 100)} %`
