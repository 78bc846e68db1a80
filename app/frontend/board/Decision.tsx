import { useState } from "react"
import { SelectField, TextField } from "@/components/Field"
import { ClientLinks } from "@/handover/ClientLinks"
import { useRunsShop } from "@/lib/me"
import { usePaper } from "@/lib/paper"
import { useShop } from "@/lib/shop"
import { when } from "@/lib/time"
import type { Approval, Board, BoardPage, BoardVerdict, Cell, Relook } from "@/types"
import { SeenBy } from "./SeenBy"

type Props = {
  board: Board
  cell: Cell
  base: string
  relooks: Relook[]
  age: number
  verdict: BoardVerdict | null
  approval: Approval | null
  links: BoardPage["links"]
  error: (where: string) => string | undefined
  onUnchanged: (words: string) => void
  onVerdict: (cell: number | null, reason: string) => Promise<boolean>
  onApprove: (name: string, light: string) => Promise<boolean>
}

/** What was decided about the board and why, when to look at it again, and whether the client said yes. */
export function Decision(props: Props) {
  const { zone, now } = useShop()
  const student = !useRunsShop()
  const paper = usePaper()
  const { board, cell, base, verdict, approval } = props
  return (
    <section className="ruled mt-4 pt-2 decision" aria-label="Decision">
      <h2 className="text-head">Decide</h2>
      <p className="text-second">
        {verdict ? (
          <>
            <b className="board-ink">{verdict.cell ? `Cell ${verdict.cell.label}` : "Undecided"}</b>: {verdict.reason} (
            {when(verdict.at, zone)})
          </>
        ) : (
          "Nothing is decided yet."
        )}
      </p>
      <VerdictForm key={verdict?.at ?? 0} {...props} />
      <Again relooks={props.relooks} age={props.age} cell={cell} onUnchanged={props.onUnchanged} />
      {board.piece && (
        <div className="thin-rule mt-3 pt-2">
          <h3 className="text-label">The client's yes, for {board.piece.name}</h3>
          {approval ? (
            <p className={approval.stale ? "caution-text" : ""}>
              {approval.name} approved{" "}
              {approval.cell ? `cell ${approval.cell.label} of ${approval.cell.board}` : "the look"} on{" "}
              {when(approval.at, zone)}, seen by {approval.light}
              {approval.age_days !== null && approval.age_days !== undefined ? `, ${approval.age_days} days old` : ""}.
              {approval.again && " It came by a link that had approved a look before."}
              {approval.stale && " The schedule has changed since: ask again."}
            </p>
          ) : (
            <p className="text-second">Nobody has approved it yet.</p>
          )}
          <ApproveForm key={`${cell.id} ${approval?.at}`} {...props} />
          <div className="mt-2 flex flex-wrap items-center gap-x-5 gap-y-2">
            <a
              href={paper(`${base}/${cell.id}/approval`)}
              className="quiet-link target"
              target="_blank"
              rel="noreferrer"
            >
              Approval sheet of cell {cell.label}, to sign
            </a>
            {!student && (
              <ClientLinks
                key={cell.id}
                of={{ kind: "approval", cell_id: cell.id }}
                first={props.links.filter((link) => link.cell === cell.id)}
                now={now}
                zone={zone}
                label={`Link to approve cell ${cell.label}`}
              />
            )}
          </div>
        </div>
      )}
    </section>
  )
}

function VerdictForm({ board, cell, error, onVerdict }: Props) {
  const [chosen, setChosen] = useState<string | null>(null)
  const [reason, setReason] = useState("")
  const value = chosen ?? String(cell.id)
  return (
    <form
      className="decision-form"
      onSubmit={async (event) => {
        event.preventDefault()
        if (await onVerdict(value === "" ? null : Number(value), reason)) setReason("")
      }}
    >
      <SelectField
        label="The board says"
        value={value}
        onChange={setChosen}
        options={[
          ...board.cells
            .filter((each) => !each.ruined)
            .map((each): [string, string] => [String(each.id), `cell ${each.label}`]),
          ["", "nothing yet: undecided"],
        ]}
      />
      <TextField
        label="Because"
        value={reason}
        onChange={setReason}
        error={error("reason")}
        placeholder="the grain shows and the client knew it at once"
      />
      <button type="submit" className="ui-button">
        Keep it
      </button>
    </form>
  )
}

function ApproveForm({ cell, error, onApprove }: Props) {
  const [name, setName] = useState("")
  const [light, setLight] = useState("daylight")
  return (
    <form
      className="decision-form"
      onSubmit={async (event) => {
        event.preventDefault()
        if (await onApprove(name, light)) setName("")
      }}
    >
      <TextField label="Who said yes" value={name} onChange={setName} error={error("name")} />
      <SeenBy label="Seen by" value={light} onChange={setLight} />
      <button type="submit" className="ui-button">
        Cell {cell.label} is approved
      </button>
    </form>
  )
}

/** Looks that are to come, due and done, as marks on the age of the board. */
function Again({
  relooks,
  age,
  cell,
  onUnchanged,
}: {
  relooks: Relook[]
  age: number
  cell: Cell
  onUnchanged: (words: string) => void
}) {
  const last = Math.max(age, ...relooks.map((look) => look.days)) * 1.12 + 1
  const due = relooks.find((look) => look.state === "due")
  const x = (days: number) => 4 + (days / last) * 392
  return (
    <div className="thin-rule mt-3 pt-2">
      <h3 className="text-label">Look at it again</h3>
      <svg viewBox="0 0 400 46" className="board-again" role="img" aria-label={relooks.map(says).join("; ")}>
        <path d="M4 22H396" stroke="var(--firm)" />
        <path d={`M4 22H${x(age)}`} stroke="var(--ink)" strokeWidth={4} />
        {relooks.map((look) => (
          <g key={look.days}>
            <circle
              cx={x(look.days)}
              cy={22}
              r={7}
              fill={look.state === "done" ? "var(--ink)" : "var(--lit)"}
              stroke={look.state === "due" ? "var(--caution)" : "var(--ink)"}
              strokeWidth={look.state === "due" ? 3.5 : 1.6}
            />
            <text x={x(look.days)} y={43} textAnchor="middle" className="again-text">
              {look.days} d
            </text>
          </g>
        ))}
        <text x={x(age)} y={10} textAnchor={age / last > 0.85 ? "end" : "middle"} className="again-text">
          now {age} d
        </text>
      </svg>
      <p className="text-second text-fine">{relooks.map(says).join(" · ")}</p>
      {due && (
        <button type="button" className="ui-button mt-1" onClick={() => onUnchanged(`No change after ${age} days`)}>
          Looked at cell {cell.label} again: no change
        </button>
      )}
    </div>
  )
}

const DATE = new Intl.DateTimeFormat("en-GB", { weekday: "short", day: "numeric", month: "short", timeZone: "UTC" })
const says = (look: Relook) => {
  const on = DATE.format(new Date(`${look.on}T12:00:00Z`)).replace(",", "")
  if (look.state === "done") return `after ${look.days} days: done`
  return look.state === "due" ? `after ${look.days} days: due since ${on}` : `after ${look.days} days: ${on}`
}
