import { router } from "@inertiajs/react"
import { useEffect, useState } from "react"
import { SelectField } from "@/components/Field"
import { Panel } from "@/components/Panel"
import { Refused, send } from "@/lib/api"
import { duration, when } from "@/lib/time"
import { METHODS } from "@/schedule/words"
import type { Cell, Choice, Method, ShelfItem } from "@/types"

type Preview = {
  differences: string[]
  cautions: string[]
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
  const [preview, setPreview] = useState<Preview | null>(null)
  const [trouble, setTrouble] = useState("")
  const used = [...new Set(cell.layers.flatMap((step) => (step.kind === "coat" && step.method ? [step.method] : [])))]

  useEffect(() => {
    if (!open || !piece) return
    const controller = new AbortController()
    send<Preview>(
      "POST",
      `${base}/${cell.id}/promotion_preview`,
      { piece_id: Number(piece), methods },
      controller.signal,
    )
      .then((answer) => {
        setPreview(answer)
        setTrouble("")
      })
      .catch((error: unknown) => {
        if (error instanceof Refused) {
          setPreview(null)
          setTrouble(error.reason.sentence)
        }
      })
    return () => controller.abort()
  }, [open, piece, methods, base, cell.id])

  const promote = async () => {
    try {
      const { location } = await send<{ location: string }>("POST", `${base}/${cell.id}/promotion`, {
        piece_id: Number(piece),
        methods,
      })
      router.visit(location)
    } catch (error) {
      if (error instanceof Refused) setTrouble(error.reason.sentence)
      else throw error
    }
  }
  return (
    <Panel
      title={`Make cell ${cell.label} the schedule`}
      open={open}
      onOpenChange={onOpenChange}
      leave="Leave it"
      action={
        <button type="button" className="tape" disabled={!preview} onClick={promote}>
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
      {trouble && (
        <p className="error-text mt-3" role="alert">
          {trouble}
        </p>
      )}
      {preview && (
        <div className="mt-4">
          <p className="head">
            {preview.steps} steps, {duration(preview.sheet.hands_min)} of hands
            {preview.sheet.ready_at ? `, ready ${when(preview.sheet.ready_at, preview.sheet.zone)}` : ""}
          </p>
          {preview.replaces > 0 && (
            <p className="sub">
              They take the place of {preview.replaces === 1 ? "the one step" : `the ${preview.replaces} steps`} there
              now; undo brings that back.
            </p>
          )}
          <ul className="sub mt-2 list-disc pl-5">
            {preview.differences.map((words) => (
              <li key={words}>{words}</li>
            ))}
          </ul>
          {preview.cautions.map((words) => (
            <p key={words} className="mt-2" style={{ color: "var(--caution-text)" }}>
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
