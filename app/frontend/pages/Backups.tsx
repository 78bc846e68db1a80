import { Head, Link } from "@inertiajs/react"
import { useState } from "react"
import { ErrorText } from "@/components/ErrorText"
import { PageHead } from "@/components/PageHead"
import { Panel } from "@/components/Panel"
import { Shell, useNow } from "@/components/Shell"
import { send as request } from "@/lib/api"
import { useSend } from "@/lib/requests"
import { duration, soon } from "@/lib/time"
import { Health } from "@/shop/Health"
import type { BackupsPage } from "@/types"

const BACKUPS = "/shop/backups"

type Backup = BackupsPage["backups"][number]

/** Backups of the shop: how old the last is, what is in each, and the way back to one. */
export default function Backups(first: BackupsPage) {
  const [state, setState] = useState(first)
  const [chosen, setChosen] = useState<Backup | null>(null)
  const [restored, setRestored] = useState("")
  const { send, busy, error } = useSend()
  const { backups, zone, entries } = state
  const now = useNow(state.now)
  const last = backups[0]
  const make = () => void send(() => request<BackupsPage>("POST", BACKUPS, {}), setState)
  const restore = (backup: Backup) =>
    void send(
      () => request<BackupsPage & { kept: string | null }>("POST", `${BACKUPS}/${backup.id}/restore`, {}),
      (next) => {
        setChosen(null)
        setRestored(
          `The shop is as it was ${soon(backup.at, zone, now)}. What was there before is the newest backup. Everyone has to sign in again.`,
        )
        setState(next)
      },
    )
  return (
    <Shell>
      <Head title="Backups" />
      <PageHead
        title="Backups"
        facts={
          last
            ? `The last is ${age(now - last.at)} old${last.same ? ", and nothing was written since" : ""}. One is made every hour in which something was written.`
            : "There is none yet. One is made every hour in which something was written."
        }
      >
        <div className="ml-auto flex gap-3">
          <Link href="/shop" className="ui-button">
            The shop
          </Link>
          <a href="/shop/archive" className="ui-button" download>
            The shop as a file
          </a>
          <button type="button" className="ui-tape" disabled={busy} onClick={make}>
            {busy && !chosen ? "Copying and checking" : "Make one now"}
          </button>
        </div>
      </PageHead>
      <ErrorText reason={error} />
      {restored && (
        <p className="text-head mb-3" role="status">
          {restored}
        </p>
      )}
      <Ages backups={backups} now={now} hours={state.hours} />
      <div className="backup-page">
        <div>
          <ul className="backup-list">
            {backups.map((backup) => (
              <li key={backup.id}>
                <b>{soon(backup.at, zone, now)}</b>
                <span>
                  {backup.reason}
                  <span className="text-second text-fine block">
                    {said(backup)}
                    {backup.missing_photos > 0 && `; ${backup.missing_photos} photos were not on the disk`}
                  </span>
                </span>
                <span className="text-second">{backup.megabytes} MB</span>
                <button type="button" className="ui-button" disabled={busy} onClick={() => setChosen(backup)}>
                  Go back to it
                </button>
              </li>
            ))}
          </ul>
          <p className="text-second mt-4">
            Kept are the last of each hour for a day, of each day for two weeks and of each week for two months, checked
            when they are written, in {state.root}. Put a copy of that folder on another disk now and then; from a
            shell, bin/rhexon-shop makes, checks and restores them, also while this page cannot be opened. The shop as a
            file is all of it in open formats, which an empty shop takes in on its first page.
          </p>
        </div>
        <Health state={state} now={now} onState={setState} />
      </div>
      {chosen && (
        <Panel
          title={`Back to ${soon(chosen.at, zone, now)}`}
          open
          onOpenChange={(open) => !open && setChosen(null)}
          leave="Stay here"
          action={
            <button type="button" className="ui-tape" disabled={busy} onClick={() => restore(chosen)}>
              {busy ? "Putting it back" : "Go back to it"}
            </button>
          }
        >
          <p className="mt-2">
            {entries > (chosen.counts.entries ?? 0)
              ? `${entries - (chosen.counts.entries ?? 0)} entries of the log are newer than it. `
              : ""}
            The shop as it is now is backed up first, so this can be undone. Links that were ended and passwords that
            were changed since then stay that way; people and what they may do go back to what they were. Everyone has
            to sign in again.
          </p>
          <ErrorText reason={error} />
        </Panel>
      )}
    </Shell>
  )
}

const age = (minutes: number): string =>
  minutes < 1 ? "under a minute" : minutes < 2880 ? duration(minutes) : `${Math.floor(minutes / 1440)} days`

const said = ({ counts }: Backup): string =>
  ["pieces", "entries", "boards", "readings", "photos"].map((what) => `${counts[what] ?? 0} ${what}`).join(", ")

const WIDTH = 1120
const HEIGHT = 46

/** How far back there is one: the closer to now, the closer together. */
function Ages({ backups, now, hours }: { backups: Backup[]; now: number; hours: number[] }) {
  const most = (hours.at(-1) ?? 1344) * 60
  const x = (minutes: number) =>
    WIDTH - 8 - (Math.log1p(Math.min(Math.max(minutes, 0), most)) / Math.log1p(most)) * (WIDTH - 60)
  const marks: [number, string][] = [
    [60, "1 h"],
    [1440, "1 day"],
    [7 * 1440, "1 week"],
    [28 * 1440, "4 weeks"],
  ]
  return (
    <svg viewBox={`0 0 ${WIDTH} ${HEIGHT}`} className="w-full" role="img" aria-label={`${backups.length} backups`}>
      <path d={`M40 20H${WIDTH - 8}`} stroke="var(--firm)" strokeWidth={1.2} />
      {marks.map(([minutes, words]) => (
        <g key={words}>
          <path d={`M${x(minutes)} 16v8`} stroke="var(--firm)" />
          <text x={x(minutes)} y={40} textAnchor="middle" className="axis-tick">
            {words}
          </text>
        </g>
      ))}
      <text x={WIDTH - 8} y={40} textAnchor="end" className="axis-tick">
        now
      </text>
      {backups.map((backup) => (
        <rect
          key={backup.id}
          x={x(now - backup.at) - 4}
          y={11}
          width={8}
          height={18}
          fill="var(--clear-2)"
          stroke="var(--layer-ink)"
        />
      ))}
    </svg>
  )
}
