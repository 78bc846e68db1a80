import { Link } from "@inertiajs/react"
import type { ReactNode } from "react"
import { day, when } from "@/lib/time"
import type { HandoverPiece } from "@/types"
import { BearsWhat } from "./BearsWhat"

type Props = {
  piece: HandoverPiece
  /** Where it is one of several. */
  named: boolean
  now: number
  zone: string
  /** A guest is not led into the shop. */
  guest: boolean
}

/** What is handed over with one piece: what lies on it, from when it bears what, and how it is kept. */
export function PieceHandover({ piece, named, now, zone, guest }: Props) {
  const { care } = piece
  return (
    <section aria-label={piece.name} className="handover-piece">
      {named && (
        <h2 className="panel-title">
          {piece.name}
          <small className="text-second">
            {" "}
            {piece.count > 1 && `${piece.count} off, `}
            {piece.wood}
          </small>
        </h2>
      )}
      <div className="handover-grid">
        <div>
          <h3 className="text-head">From when it bears what{piece.finished ? "" : ", by the plan of today"}</h3>
          <BearsWhat dates={piece.dates} from={piece.finished_at} now={now} zone={zone} />
          <p className="text-second text-fine mt-2">
            Reckoned for the air it dries in; a colder or damper place takes longer. The maker's data sheet wins.
          </p>
        </div>
        <div>
          <Part title="How it is kept">{care.clean}</Part>
          <Part title="What never to use">{care.never}</Part>
          <Part title={care.renew_on ? `A fresh coat, about ${month(care.renew_on)}` : "A fresh coat, as it wears"}>
            {[...care.due, ...care.renew]}
          </Part>
          <Part title="To be minded">{[...care.until_cured, care.food]}</Part>
        </div>
        <div>
          <h3 className="text-head">What it is finished with</h3>
          <ol className="handover-layers">
            {piece.layers.map((layer, index) => (
              // biome-ignore lint/suspicious/noArrayIndexKey: layers are in the order they were laid
              <li key={index}>
                <b>{layer.product ?? layer.family}</b>
                <span className="text-second">
                  {layer.coats > 1 && `${layer.coats} coats, `}
                  {layer.done ? "done" : "planned"} {when(layer.at, zone)}
                </span>
              </li>
            ))}
          </ol>
          <Rest piece={piece} zone={zone} guest={guest} />
        </div>
      </div>
    </section>
  )
}

function Part({ title, children }: { title: string; children: string[] }) {
  if (children.length === 0) return null
  return (
    <>
      <h3 className="text-head">{title}</h3>
      <ul className="handover-list">
        {children.map((line) => (
          <li key={line}>{line}</li>
        ))}
      </ul>
    </>
  )
}

/** Its board, what is kept for touching up, and what was tested. */
function Rest({ piece, zone, guest }: Omit<Props, "named" | "now">) {
  const { look, touch_ups, tests } = piece
  if (!look && touch_ups.length + tests.length === 0) return null
  return (
    <>
      <h3 className="text-head mt-4">What else belongs to it</h3>
      <ul className="handover-list">
        {look && (
          <li>
            Its look is that of cell {look.cell} of{" "}
            {guest ? look.board : <Quiet to={`/boards/${look.board_id}`}>{look.board}</Quiet>}
            {look.approved_by && `, approved by ${look.approved_by} on ${day(look.approved_at ?? 0, zone)}`}
            {look.stale && <b className="caution-text"> (the schedule has changed since)</b>}
          </li>
        )}
        {touch_ups.map((jar) => (
          <li key={jar.code}>
            Kept for touching up: {jar.name}, jar {jar.code}
            {jar.lot && `, lot ${jar.lot}`}, {jar.g} g{jar.expires_on && `, good until ${date(jar.expires_on)}`}
          </li>
        ))}
        {tests.map((test) => (
          <li key={`${test.what} ${test.at}`}>
            {test.what}: {test.said}, {when(test.at, zone)}
          </li>
        ))}
      </ul>
    </>
  )
}

const Quiet = ({ to, children }: { to: string; children: ReactNode }) => (
  <Link href={to} className="underline underline-offset-2">
    {children}
  </Link>
)

const month = (iso: string): string =>
  new Date(iso).toLocaleDateString("en-GB", { month: "long", year: "numeric", timeZone: "UTC" })
const date = (iso: string): string =>
  new Date(iso).toLocaleDateString("en-GB", { day: "numeric", month: "short", year: "numeric", timeZone: "UTC" })
