import { useState } from "react"
import { Panel } from "@/components/Panel"
import { send } from "@/lib/api"
import { useAnswer } from "@/lib/requests"
import type { Step, StepOffer } from "@/types"
import { PHASES } from "@/types/kinds"

type Props = {
  open: boolean
  onOpenChange: (open: boolean) => void
  url: string
  /** The step it goes after; null: at the beginning. */
  after: string | null
  /** The revision whose steps it is about: another has other offers. */
  revision: number
  afterWords: string
  onAdd: (step: Step) => void
}

/** New step: what is likely next first, then all kinds of work by phase; each begins with values that fit its place. */
export function AddStep({ open, onOpenChange, url, after, revision, afterWords, onAdd }: Props) {
  const { answer, error } = useAnswer({
    key: ["new-steps", url, after, revision],
    ask: (signal) => {
      const place = new URLSearchParams({ after: after ?? "" })
      return send<{ offers: StepOffer[] }>("GET", `${url}/new_steps?${place}`, undefined, signal)
    },
    on: open,
  })
  return (
    <Panel title={`New step ${afterWords}`} open={open} onOpenChange={onOpenChange} wide>
      {error && (
        <p className="error-text mt-3" role="alert">
          {error.sentence}
        </p>
      )}
      {answer && <Offers offers={answer.offers} onAdd={onAdd} />}
    </Panel>
  )
}

/** Offers in groups, thinned out by what is typed; Enter takes the first. */
export function Offers({ offers, onAdd }: { offers: StepOffer[]; onAdd: (step: Step) => void }) {
  const [typed, setTyped] = useState("")
  const found = offers.filter((offer) => fits(offer, typed))
  const groups: [string, string, StepOffer[]][] = [
    ...(typed
      ? []
      : ([["likely", "Likely next", offers.filter((offer) => offer.likely)]] as [string, string, StepOffer[]][])),
    ...PHASES.map(([phase, name]): [string, string, StepOffer[]] => [
      phase,
      name,
      found.filter((offer) => offer.phase === phase),
    ]),
  ]
  const first = found.find((offer) => offer.step)
  return (
    <>
      <form
        className="mt-3"
        onSubmit={(event) => {
          event.preventDefault()
          if (first?.step) onAdd(first.step)
        }}
      >
        <label className="ui-field">
          <span className="text-label">Find a kind of work</span>
          <input
            className="ui-input"
            type="search"
            value={typed}
            placeholder="fill, grit, tape, gloss ..."
            onChange={(event) => setTyped(event.target.value)}
          />
        </label>
      </form>
      {found.length === 0 && <p className="text-second mt-3">No kind of work is called that. Try another word.</p>}
      <div className="offer-groups">
        {groups
          .filter(([, , list]) => list.length > 0)
          .map(([id, name, list]) => (
            <section key={id} aria-label={name} data-group={id}>
              <h3 className="text-label">{name}</h3>
              <ul>
                {list.map((offer) => (
                  <li key={offer.id}>
                    <Offer offer={offer} onAdd={onAdd} />
                  </li>
                ))}
              </ul>
            </section>
          ))}
      </div>
    </>
  )
}

function Offer({ offer, onAdd }: { offer: StepOffer; onAdd: (step: Step) => void }) {
  const { step } = offer
  return (
    <button type="button" className="ui-button kind-button" disabled={!step} onClick={() => step && onAdd(step)}>
      <span>{offer.name}</span>
      <span className="text-second text-fine">
        {step ? offer.says : `Put ${offer.wants ?? "a product"} on the shelf first`}
      </span>
    </button>
  )
}

/** Every word that is typed is in its name, in what it says, or in the words it is found by. */
function fits(offer: StepOffer, typed: string): boolean {
  const text = `${offer.name} ${offer.says} ${offer.words}`.toLowerCase()
  return typed
    .toLowerCase()
    .split(/\s+/)
    .every((word) => text.includes(word))
}
