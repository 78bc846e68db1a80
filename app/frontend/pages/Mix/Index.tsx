import { Head, Link } from "@inertiajs/react"
import { PageHead } from "@/components/PageHead"
import { Shell, useNow } from "@/components/Shell"
import { Patterns } from "@/drawing/Patterns"
import { useRunsShop } from "@/lib/me"
import { useShop } from "@/lib/shop"
import { duration, soon } from "@/lib/time"
import { roughMass, useUnits, volume } from "@/lib/units"
import { MixAlone } from "@/mix/MixAlone"
import { useBeginMix } from "@/mix/useBeginMix"
import type { MixesPage } from "@/types"

/** What the plan mixes next, what stands in the pot, and a mix by itself. */
export default function MixIndex({ pots, due, ...alone }: MixesPage) {
  const begin = useBeginMix()
  const shop = useShop()
  const now = useNow(shop.now)
  const [system] = useUnits()
  const runsShop = useRunsShop()
  return (
    <Shell>
      <Head title="Mixing desk" />
      <Patterns />
      <PageHead title="Mixing desk" facts="Amounts come from the plan; the scale is read while you pour.">
        <Link href="/sums" className="ui-button ml-auto">
          Small sums
        </Link>
      </PageHead>
      <div className="desk-grid">
        <section aria-label="To mix next" className="ruled pt-2">
          <h2 className="text-head">To mix next</h2>
          {due.length === 0 && (
            <p className="text-second mt-2">
              The plan asks for no mix. A coat in a schedule brings one here at its hour.
            </p>
          )}
          <ol className="due-list">
            {due.map((mix, index) => (
              <li key={mix.pass} className={index === 0 ? "surface-lit" : undefined}>
                <div className="min-w-0">
                  <p className="due-name">{mix.name}</p>
                  <p className="text-second">
                    {mix.serves}, {mix.coats === 1 ? "one coat" : `${mix.coats} coats from one batch`}
                  </p>
                  <p className="text-fine text-second">
                    {mix.components.length > 1 ? `with ${mix.components.slice(1).join(" and ")}` : "poured as it is"}
                    {mix.usable_until ? `, usable ${duration(mix.usable_until - mix.at)}` : ""}
                  </p>
                </div>
                <p className="due-figures">
                  <b>{mix.at <= now ? "now" : soon(mix.at, shop.zone, now)}</b>
                  <span className="text-second">
                    {volume(mix.ml, system)}, {roughMass(mix.g, system)}
                  </span>
                </p>
                <button
                  type="button"
                  className={index === 0 ? "ui-tape" : "ui-button"}
                  data-size={index === 0 ? undefined : "bench"}
                  onClick={() => void begin(mix.pass)}
                >
                  Mix it
                </button>
              </li>
            ))}
          </ol>
          {pots.length > 0 && (
            <>
              <h2 className="text-head mt-5">In the pot</h2>
              <ol className="due-list">
                {pots.map((pot) => (
                  <li key={pot.id}>
                    <div className="min-w-0">
                      <p className="due-name">{pot.name}</p>
                      <p className="text-second">{pot.serves.join(" · ") || "mixed by itself"}</p>
                    </div>
                    <p className="due-figures">
                      <b>
                        {roughMass(pot.poured_g, system)} of {roughMass(pot.total_g, system)}
                      </b>
                      <span className="text-second">
                        {pot.usable_until ? `usable to ${soon(pot.usable_until, shop.zone, now)}` : "no hardener yet"}
                      </span>
                    </p>
                    <Link href={`/mix/${pot.id}`} className="ui-button" data-size="bench">
                      Go on
                    </Link>
                  </li>
                ))}
              </ol>
            </>
          )}
        </section>
        {runsShop && <MixAlone {...alone} />}
      </div>
    </Shell>
  )
}
