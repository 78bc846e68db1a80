import { router } from "@inertiajs/react"
import { useState } from "react"
import { SelectField } from "@/components/Field"
import { send } from "@/lib/api"
import { useAnswer, useSend } from "@/lib/requests"
import { METHODS } from "@/schedule/words"
import type { ColourWork, Method } from "@/types"
import type { Recipe } from "./Answers"

type Props = {
  way: string
  picked: Recipe
  batch: number
  pieces: { id: number; words: string }[]
  /** The piece and step that the desk was opened for. */
  piece: number | null
  step: string | null
}

const URL = "/boards/colour/step"
const BEGINNING = ""

/** The chosen recipe as work: in whose schedule, at what place, carried in what. */
export function IntoSchedule({ way, picked, batch, pieces, piece, step }: Props) {
  const [chosen, choose] = useState(piece)
  const { answer, error } = useAnswer({
    key: ["colour-work", chosen, way],
    ask: (signal) => send<ColourWork>("GET", `${URL}?piece_id=${chosen}&kind=${way}`, undefined, signal),
    on: chosen !== null,
  })
  if (pieces.length === 0) return null
  return (
    <section aria-label="Into a schedule" className="into-schedule thin-rule">
      <h2 className="text-head">Into a schedule</h2>
      <div className="into-fields">
        <SelectField
          label="Of the piece"
          value={chosen === null ? "" : String(chosen)}
          options={[["", "choose a piece"], ...pieces.map(({ id, words }): [string, string] => [String(id), words])]}
          onChange={(id) => choose(id ? Number(id) : null)}
        />
        {chosen !== null && answer && <Place key={chosen} {...{ way, picked, batch, answer, step }} piece={chosen} />}
      </div>
      {error && (
        <p className="error-text" role="alert">
          {error.sentence}
        </p>
      )}
    </section>
  )
}

type PlaceProps = Omit<Props, "pieces" | "piece"> & { piece: number; answer: ColourWork }

function Place({ way, picked, batch, piece, answer, step }: PlaceProps) {
  const { send: request, busy, error } = useSend()
  const [at, setAt] = useState(
    step && answer.same.includes(step)
      ? `=${step}`
      : answer.same[0]
        ? `=${answer.same[0]}`
        : (answer.after ?? BEGINNING),
  )
  const [carrier, setCarrier] = useState(answer.carriers[0]?.id ?? "")
  const item = answer.carriers.find(({ id }) => id === carrier)
  const [method, setMethod] = useState("")
  const number = (id: string) => answer.steps.findIndex(([other]) => other === id) + 1
  const places: [string, string][] = [
    ...answer.steps
      .filter(([id]) => answer.same.includes(id))
      .map(([id, words]): [string, string] => [`=${id}`, `in place of ${number(id)} ${words}`]),
    [BEGINNING, "at the beginning"],
    ...answer.steps.map(([id, words]): [string, string] => [id, `after ${number(id)} ${words}`]),
  ]
  // A recipe with a stain in it brings what it is carried in.
  const brings = way === "stain" && picked.grams.some((part) => part.carries)
  const put = () =>
    request(
      () =>
        send<{ location: string }>("POST", URL, {
          piece_id: piece,
          kind: way,
          grams: Object.fromEntries(picked.grams.map((part) => [part.id, part.grams])),
          batch_g: batch,
          carrier: brings ? null : carrier,
          method: method || null,
          ...(at.startsWith("=") ? { replace: at.slice(1) } : { after: at || null }),
        }),
      ({ location }) => router.visit(location),
    )
  if (!brings && answer.carriers.length === 0)
    return (
      <p className="caution-text">
        Nothing on the shelf carries it: put {way === "glaze" ? "a glaze medium" : "a clear dye base or finish"} there
        first.
      </p>
    )
  return (
    <>
      <SelectField label="Where" value={at} options={places} onChange={setAt} />
      {!brings && (
        <SelectField
          label="Carried in"
          value={carrier}
          options={answer.carriers.map(({ id, name }) => [id, name])}
          onChange={setCarrier}
        />
      )}
      {!brings && item && item.methods.length > 1 && (
        <SelectField
          label="Laid on"
          value={method || (item.methods[0] ?? "")}
          options={item.methods.map((name) => [name, METHODS[name as Method]])}
          onChange={setMethod}
        />
      )}
      <button type="button" className="ui-tape" disabled={busy} onClick={put}>
        Put it in
      </button>
      {error && (
        <p className="error-text is-wide" role="alert">
          {error.sentence}
        </p>
      )}
    </>
  )
}
