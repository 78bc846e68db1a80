import { Head } from "@inertiajs/react"
import { useState } from "react"
import { SeenBy } from "@/board/SeenBy"
import { ErrorText } from "@/components/ErrorText"
import { TextField } from "@/components/Field"
import { sendOnce } from "@/lib/api"
import { useSend } from "@/lib/requests"
import { useShop } from "@/lib/shop"
import { when } from "@/lib/time"
import type { GuestApproval } from "@/types"

/** A look that the client is asked to say yes to: its picture, its figures, and what it depends on. */
export default function Approval(first: GuestApproval) {
  const shop = useShop()
  const [asked, setAsked] = useState(first)
  const [name, setName] = useState(first.for_name ?? "")
  const [light, setLight] = useState("daylight")
  const { send, busy, error } = useSend()
  const base = `/guest/${asked.token}`
  const { approved } = asked
  return (
    <main className="guest-page" data-narrow>
      <Head title={`Look of ${asked.piece}`} />
      <p className="text-second">{shop.name}</p>
      <h1 className="text-title">Look of {asked.piece.replace(/^./, (letter) => letter.toLowerCase())}</h1>
      <p className="text-second">
        Cell {asked.cell} of the board {asked.board}
      </p>
      <div className="guest-look">
        {asked.colour && <div role="img" aria-label="Its colour" style={{ background: asked.colour }} />}
        {asked.photo && <img src={`${base}/photo`} alt={`Cell ${asked.cell}`} />}
      </div>
      <ul className="handover-list">
        {[...asked.figures, ...asked.conditions].map((line) => (
          <li key={line}>{line}</li>
        ))}
      </ul>
      {approved && !approved.stale ? (
        <p className="text-head mt-4" role="status">
          {approved.name} approved it on {when(approved.at, asked.zone)}, seen by {approved.light}.
        </p>
      ) : (
        <form
          className="mt-4 grid gap-3"
          onSubmit={(event) => {
            event.preventDefault()
            void send(() => sendOnce<GuestApproval>("POST", `${base}/approval`, { name, light }), setAsked)
          }}
        >
          {approved && (
            <p className="caution-text">
              {approved.name} approved it on {when(approved.at, asked.zone)}, but the work has changed since.
            </p>
          )}
          <TextField label="Your name" value={name} autoComplete="name" onChange={setName} />
          <SeenBy label="You have seen the board by" value={light} onChange={setLight} />
          <button type="submit" className="ui-tape justify-self-start" disabled={busy || !name.trim()}>
            I approve this look
          </button>
        </form>
      )}
      <ErrorText reason={error} />
    </main>
  )
}
