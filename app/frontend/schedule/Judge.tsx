import { useState } from "react"
import { ErrorText } from "@/components/ErrorText"
import { SelectField, TextField } from "@/components/Field"
import { Panel } from "@/components/Panel"
import { send } from "@/lib/api"
import { useSend } from "@/lib/requests"
import type { Finding, Operation, Ruling, ShopPage } from "@/types"

const AS: [Ruling["as"], string][] = [
  ["stop", "a stop"],
  ["caution", "a caution"],
  ["note", "a note"],
  ["silent", "not told"],
]
const WHERE: [string, string][] = [
  ["schedule", "this schedule"],
  ["shop", "the whole shop"],
]
/** Letters that a reason has at least. */
const LEAST = 3

export const judgedAs = (as: Ruling["as"]) => AS.find(([value]) => value === as)?.[1] ?? as

type Props = {
  finding: Finding
  onEdit: (operation: Operation) => void
  /** The shop judges otherwise now: all is planned and checked anew. */
  onShop: () => void
  onClose: () => void
}

/** A check raised, lowered or not told any more, with the reason that is kept and shown. */
export function Judge({ finding, onEdit, onShop, onClose }: Props) {
  const { ruling } = finding
  const [as, setAs] = useState<Ruling["as"]>(ruling?.as ?? (finding.level === "note" ? "silent" : "note"))
  const [where, setWhere] = useState<string>(ruling?.by ?? "schedule")
  const [reason, setReason] = useState(ruling?.reason ?? "")
  const { send: ask, error } = useSend()
  const keep = (next: Ruling["as"] | null) => {
    const said = next ? { as: next, reason: reason.trim() } : { as: null }
    if ((next ? where : ruling?.by) === "shop") {
      void ask(
        () => send<ShopPage>("POST", "/shop/judgements", { check: finding.id, ...said }),
        () => {
          onShop()
          onClose()
        },
      )
    } else {
      onEdit({ op: "judge", check: finding.id, ...said })
      onClose()
    }
  }
  return (
    <Panel
      title={`${finding.title}: judged otherwise`}
      open
      onOpenChange={(open) => !open && onClose()}
      action={
        <>
          <button type="button" className="ui-tape" disabled={reason.trim().length < LEAST} onClick={() => keep(as)}>
            Judge it so
          </button>
          {ruling && (
            <button type="button" className="ui-button" onClick={() => keep(null)}>
              As usual again
            </button>
          )}
        </>
      }
    >
      <p className="text-second mt-2">{finding.sentence}</p>
      <div className="mt-4 grid gap-4">
        <SelectField label="Here it is" value={as} options={AS} onChange={(next) => setAs(next as Ruling["as"])} />
        <SelectField label="For" value={where} options={WHERE} onChange={setWhere} />
        <TextField
          label="Because"
          value={reason}
          onChange={setReason}
          placeholder="what you know that the check does not"
        />
      </div>
      <p className="text-second text-fine mt-2">
        The reason stays beside it. What can hurt someone, and the date itself, are never judged otherwise.
      </p>
      <ErrorText reason={error} />
    </Panel>
  )
}
