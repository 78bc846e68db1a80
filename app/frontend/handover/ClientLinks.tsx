import { Link } from "@inertiajs/react"
import { useState } from "react"
import { DayField } from "@/components/DayField"
import { ErrorText } from "@/components/ErrorText"
import { TextField } from "@/components/Field"
import { Panel } from "@/components/Panel"
import { send as request } from "@/lib/api"
import { useSend } from "@/lib/requests"
import { day, soon } from "@/lib/time"
import type { GuestLink } from "@/types"

type Made = { link: GuestLink; url: string; code: string; loopback: boolean }
type Props = {
  /** What the link is of: kind, and one of piece_id, job_id, cell_id. */
  of: Record<string, string | number>
  first: GuestLink[]
  now: number
  zone: string
  label: string
  /** Where products can be named. */
  names?: boolean
}

/** Links for a client: made, shown once with their code, and ended. */
export function ClientLinks({ of, first, now, zone, label, names = false }: Props) {
  const [open, setOpen] = useState(false)
  const [links, setLinks] = useState(first)
  const [made, setMade] = useState<Made | null>(null)
  const [endsOn, setEndsOn] = useState("")
  const [named, setNamed] = useState(false)
  const [forName, setForName] = useState("")
  const { send, busy, error } = useSend()
  const make = () =>
    void send(
      () =>
        request<Made>("POST", "/links", {
          ...of,
          names: named,
          ends_on: endsOn || null,
          for_name: forName.trim() || null,
        }),
      (next) => {
        setMade(next)
        setLinks([next.link, ...links])
      },
    )
  const end = ({ id }: GuestLink) =>
    void send(
      () => request<{ link: GuestLink }>("DELETE", `/links/${id}`),
      ({ link }) => setLinks(links.map((one) => (one.id === id ? link : one))),
    )
  const live = links.filter((link) => link.live)
  return (
    <>
      <button type="button" className="ui-button" onClick={() => setOpen(true)}>
        {label}
        {live.length > 0 && ` (${live.length})`}
      </button>
      <Panel
        title={label}
        open={open}
        onOpenChange={(next) => {
          setOpen(next)
          setMade(null)
        }}
        action={
          <button type="button" className="ui-tape" disabled={busy} onClick={make}>
            {made ? "Make another" : "Make a link"}
          </button>
        }
      >
        <p className="text-second mt-2">
          It shows this and nothing else of the shop, to whoever has it, until it is ended here.
        </p>
        <div className="mt-3 flex flex-wrap items-end gap-4">
          <DayField label="It ends after (may be left open)" value={endsOn} onDay={setEndsOn} />
          {of.kind === "approval" && (
            <TextField label="Only for (name, optional)" value={forName} onChange={setForName} />
          )}
          {names && (
            <label className="ui-check">
              <input type="checkbox" checked={named} onChange={(event) => setNamed(event.target.checked)} />
              name the products
            </label>
          )}
        </div>
        {made && (
          <div className="made-link" role="status">
            {/* biome-ignore lint/security/noDangerouslySetInnerHtml: drawn by the server from the address alone */}
            <span className="made-code" dangerouslySetInnerHTML={{ __html: made.code }} />
            <div>
              <p className="text-second text-fine">It is told this once: send it, or let it be scanned.</p>
              <a href={made.url} className="break-all underline">
                {made.url}
              </a>
              {made.loopback && (
                <p className="caution-text mt-2" role="alert">
                  This address works on this computer only. Set the shop's address under{" "}
                  <Link href="/shop/settings">Shop settings</Link>, then make another link.
                </p>
              )}
              {navigator.clipboard && (
                <p>
                  <button
                    type="button"
                    className="ui-button"
                    data-quiet
                    onClick={() => void navigator.clipboard.writeText(made.url)}
                  >
                    Copy it
                  </button>
                </p>
              )}
            </div>
          </div>
        )}
        <ErrorText reason={error} />
        {links.length > 0 && (
          <ul className="backup-list" data-plain>
            {links.map((link) => (
              <li key={link.id}>
                <b>{day(link.made_at, zone)}</b>
                <span className="text-second">
                  {link.by && `by ${link.by}, `}
                  {link.seen_at ? `looked at ${soon(link.seen_at, zone, now)}` : "not looked at yet"}
                  {link.live && link.ends_on && `, until ${link.ends_on}`}
                </span>
                {link.live ? (
                  <button type="button" className="ui-button" disabled={busy} onClick={() => end(link)}>
                    End it
                  </button>
                ) : (
                  <span className="text-second">ended</span>
                )}
              </li>
            ))}
          </ul>
        )}
      </Panel>
    </>
  )
}
