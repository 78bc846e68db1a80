import { Head } from "@inertiajs/react"
import { PieceHandover } from "@/handover/PieceHandover"
import { useShop } from "@/lib/shop"
import type { HandoverPage } from "@/types"

/** A handover as the client sees it: this and nothing else of the shop. */
export default function GuestHandover({ title, client, place, pieces, zone, now, guest }: HandoverPage) {
  const shop = useShop()
  const base = `/guest/${guest}`
  return (
    <main className="guest-page">
      <Head title={title} />
      <p className="text-second">{shop.name}</p>
      <h1 className="text-title">{title}</h1>
      <p className="text-second">{[client, place].filter((one) => one && one !== title).join(" · ")}</p>
      <p className="guest-takes">
        <a href={`${base}.pdf`} className="ui-button" target="_blank" rel="noreferrer">
          On paper
        </a>
        <a href={`${base}.pdf?only=care`} className="ui-button" target="_blank" rel="noreferrer">
          Care sheet
        </a>
        <a href={`${base}.ics`} className="ui-button" download>
          Dates as a calendar
        </a>
      </p>
      {pieces.map((piece) => (
        <PieceHandover key={piece.id} piece={piece} named={pieces.length > 1} now={now} zone={zone} guest />
      ))}
      <p className="text-second text-fine mt-5">
        Reminders, no promise: the labels and data sheets of the products and local codes decide.
      </p>
    </main>
  )
}
