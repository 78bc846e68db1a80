import { Link, router } from "@inertiajs/react"
import { useState } from "react"
import { ErrorText } from "@/components/ErrorText"
import { sendOnce } from "@/lib/api"
import { useRunsShop } from "@/lib/me"
import { useSend } from "@/lib/requests"
import { roughMass, useUnits } from "@/lib/units"
import type { Batch } from "@/types"
import { batchSays } from "./batchSays"
import { Jar } from "./Jar"
import { ReceivePanel } from "./ReceivePanel"

const BOARDS: [string, string][] = [
  ["mixed", "Mixed and catalysed"],
  ["opened", "Opened"],
  ["sealed", "Sealed"],
]

type Props = {
  batches: Batch[]
  products: { id: number; name: string }[]
  today: string
  now: number
  found: string | null
}

/**
 * The shelf as it stands: jars and cans on their boards, each as full as it is. Two or more cans of one product can be
 * boxed.
 */
export function BatchesView({ batches, products, today, now, found }: Props) {
  const [system] = useUnits()
  const runsShop = useRunsShop()
  const [chosen, setChosen] = useState<number[]>([])
  const looked = batches.filter((batch) => found && batch.product_code === found).map((batch) => batch.id)
  const [boxing, setBoxing] = useState(false)
  const { send, error } = useSend()
  const product = batches.find((batch) => batch.id === chosen[0])?.product_id
  const box = () =>
    send(
      () => sendOnce<{ location: string }>("POST", "/batches/box", { batches: chosen }),
      ({ location }) => router.visit(location),
    )
  return (
    <>
      <div className="shelf-tools">
        <p className="text-second">{batches.length} cans and jars. The label on each opens its page.</p>
        {runsShop && (
          <span className="ml-auto flex flex-wrap gap-2">
            {boxing ? (
              <>
                <span className="self-center">
                  {chosen.length < 2 ? "Touch the cans to pour together" : `${chosen.length} cans`}
                </span>
                <button
                  type="button"
                  className="ui-button"
                  data-tone="dark"
                  disabled={chosen.length < 2}
                  onClick={() => void box()}
                >
                  Pour together
                </button>
                <button
                  type="button"
                  className="ui-button"
                  onClick={() => {
                    setBoxing(false)
                    setChosen([])
                  }}
                >
                  Cancel
                </button>
              </>
            ) : (
              <button type="button" className="ui-button" onClick={() => setBoxing(true)}>
                Box lots
              </button>
            )}
            <ReceivePanel products={products} today={today} found={found} />
          </span>
        )}
      </div>
      <ErrorText reason={error} />
      {BOARDS.map(([state, title]) => {
        const standing = batches.filter((batch) =>
          state === "mixed" ? batch.state === "mixed" || batch.state === "catalysed" : batch.state === state,
        )
        if (!standing.length) return null
        return (
          <section key={state} aria-label={title} className="shelf-board">
            <h2 className="text-head">{title}</h2>
            <ul>
              {standing.map((batch) => {
                const says = batchSays(batch, now)
                const inside = (
                  <>
                    <Jar
                      fill={batch.left_g / Math.max(batch.first_g, batch.left_g)}
                      look={batch.look}
                      state={batch.state}
                      kept={batch.kept}
                      over={says.over}
                    />
                    <b className="jar-name">{batch.name}</b>
                    <span className="jar-left">{roughMass(batch.left_g, system)}</span>
                    <span className={says.tone === "plain" ? "text-second text-fine" : "text-fine caution-text"}>
                      {says.words}
                    </span>
                  </>
                )
                const able =
                  boxing &&
                  !batch.kept &&
                  batch.mix_id === null &&
                  (chosen.length === 0 || product === batch.product_id)
                return (
                  <li key={batch.id} data-state={chosen.includes(batch.id) || looked.includes(batch.id) ? "on" : "off"}>
                    {boxing ? (
                      <button
                        type="button"
                        aria-pressed={chosen.includes(batch.id)}
                        disabled={!able}
                        onClick={() =>
                          setChosen(
                            chosen.includes(batch.id) ? chosen.filter((id) => id !== batch.id) : [...chosen, batch.id],
                          )
                        }
                      >
                        {inside}
                      </button>
                    ) : (
                      <Link href={`/batches/${batch.id}`}>{inside}</Link>
                    )}
                  </li>
                )
              })}
            </ul>
          </section>
        )
      })}
      {batches.length === 0 && (
        <p className="text-second mt-4">
          Nothing on the shelf yet. Put the first can on it, and Rhexon tells what runs out for the planned work.
        </p>
      )}
    </>
  )
}
