import { router } from "@inertiajs/react"
import { useState } from "react"
import { Against } from "@/components/Against"
import { ErrorText } from "@/components/ErrorText"
import { SelectField } from "@/components/Field"
import { Panel } from "@/components/Panel"
import { send as request } from "@/lib/api"
import { useAnswer, useSend } from "@/lib/requests"
import { duration, when } from "@/lib/time"
import { METHODS } from "@/schedule/words"
import type { Cell, Choice, Method, Against as Said, ShelfItem } from "@/types"

type Preview = {
  differences: string[]
  cautions: string[]
  against: Said[]
  steps: number
  replaces: number
  sheet: { ready_at: number | null; hands_min: number; zone: string }
}
type Props = {
  open: boolean
  onOpenChange: (open: boolean) => void
  cell: Cell
  base: string
  pieces: Choice[]
  shelf: ShelfItem[]
  first: number | undefined
}

/** Makes a cell the schedule of a piece: what changes on the way is listed first. */
export function Promote({ open, onOpenChange, cell, base, pieces, shelf, first }: Props) {
  const [piece, setPiece] = useState(String(first ?? pieces[0]?.id ?? ""))
  const [methods, setMethods] = useState<Record<string, string>>({})
  const used = [...new Set(cell.layers.flatMap((step) => (step.kind === "coat" && step.method ? [step.method] : [])))]

  const wish = { piece_id: Number(piece), methods }
  const looked = useAnswer({
    key: ["promotion", base, cell.id, wish],
    ask: (signal) => request<Preview>("POST", `${base}/${cell.id}/promotion_preview`, wish, signal),
    on: open && piece !== "",
    keep: true,
  })
  const { send, error } = useSend()
  const refused = looked.error ?? error
  const preview = looked.error ? null : looked.answer
  const promote = () =>
    send(
      () => request<{ location: string }>("POST", `${base}/${cell.id}/promotion`, wish),
      ({ location }) => router.visit(location),
    )
  return (
    <Panel
      title={`Make cell ${cell.label} the schedule`}
      open={open}
      onOpenChange={onOpenChange}
      leave="Cancel"
      action={
        <button type="button" className="ui-tape" disabled={!preview} onClick={() => void promote()}>
          Make it the schedule
        </button>
      }
    >
      <div className="mt-4 grid gap-3">
        <SelectField
          label="Of this piece"
          value={piece}
          onChange={setPiece}
          options={pieces.map((choice) => [String(choice.id), `${choice.name}, ${choice.wood} · ${choice.client}`])}
        />
        {used.map((method) => (
          <SelectField
            key={method}
            label={`What was ${METHODS[method]} on the board is here`}
            value={methods[method] ?? method}
            onChange={(value) => setMethods({ ...methods, [method]: value })}
            options={fitting(cell, shelf, method).map((name) => [name, METHODS[name]])}
          />
        ))}
      </div>
      <ErrorText reason={refused} />
      {preview && (
        <div className="mt-4">
          <p className="text-head">
            {preview.steps} steps, {duration(preview.sheet.hands_min)} of hands
            {preview.sheet.ready_at ? `, ready ${when(preview.sheet.ready_at, preview.sheet.zone)}` : ""}
          </p>
          {preview.replaces > 0 && (
            <p className="text-second">
              They take the place of {preview.replaces === 1 ? "the one step" : `the ${preview.replaces} steps`} there
              now; undo brings that back.
            </p>
          )}
          <ul className="text-second mt-2 list-disc pl-5">
            {preview.differences.map((words) => (
              <li key={words}>{words}</li>
            ))}
          </ul>
          <Against said={preview.against} />
          {preview.cautions.map((words) => (
            <p key={words} className="caution-text mt-2">
              Caution: {words}
            </p>
          ))}
        </div>
      )}
    </Panel>
  )
}

/** Methods that every product laid that way on the board has a film figure for. */
function fitting(cell: Cell, shelf: ShelfItem[], method: Method): Method[] {
  const items = cell.layers
    .filter((step) => step.kind === "coat" && step.method === method)
    .map((step) => shelf.find((item) => item.id === step.product))
  return (Object.keys(METHODS) as Method[]).filter(
    (name) => name === method || items.every((item) => item?.wet_um[name] !== undefined),
  )
}
