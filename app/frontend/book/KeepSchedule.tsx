import { router } from "@inertiajs/react"
import { useState } from "react"
import { ErrorText } from "@/components/ErrorText"
import { SelectField, TextField } from "@/components/Field"
import { Panel } from "@/components/Panel"
import { send as request } from "@/lib/api"
import { useSend } from "@/lib/requests"
import type { BookPage } from "@/types"

/** Puts the schedule of a piece into the book: as a new recipe, or as the next version of one. */
export function KeepSchedule({ pieces, recipes }: Pick<BookPage, "pieces" | "recipes">) {
  const [open, setOpen] = useState(false)
  const kept = pieces.filter((piece) => piece.steps > 0)
  const [piece, setPiece] = useState(String(kept[0]?.id ?? ""))
  if (kept.length === 0) return null
  return (
    <>
      <button type="button" className="ui-button" onClick={() => setOpen(true)}>
        Keep a schedule
      </button>
      {open && (
        <KeepPanel what={{ piece: Number(piece) }} recipes={recipes} onClose={() => setOpen(false)}>
          <SelectField
            label="The schedule of"
            value={piece}
            options={kept.map((one) => [String(one.id), `${one.name}, ${one.wood} · ${one.client}`])}
            onChange={setPiece}
          />
        </KeepPanel>
      )}
    </>
  )
}

type Props = {
  /** The piece or the cell whose steps are kept. */
  what: { piece: number } | { cell: number }
  recipes: Pick<BookPage["recipes"][number], "id" | "name">[]
  name?: string
  onClose: () => void
  children?: React.ReactNode
}

/** Asks for a name, or which recipe it is the next version of. */
export function KeepPanel({ what, recipes, name: first = "", onClose, children }: Props) {
  const [into, setInto] = useState("")
  const [name, setName] = useState(first)
  const [says, setSays] = useState("")
  const { send, busy, error } = useSend()
  const keep = () =>
    send(
      () =>
        request<{ location: string }>("POST", "/pieces/book", {
          ...what,
          says,
          ...(into ? { into: Number(into) } : { name }),
        }),
      ({ location }) => router.visit(location),
    )
  return (
    <Panel
      title="Keep it in the recipe book"
      open
      onOpenChange={(open) => !open && onClose()}
      leave="Cancel"
      action={
        <button type="button" className="ui-tape" disabled={busy} onClick={() => void keep()}>
          Keep it
        </button>
      }
    >
      <div className="mt-4 grid gap-3">
        {children}
        {recipes.length > 0 && (
          <SelectField
            label="As"
            value={into}
            options={[
              ["", "a new recipe"],
              ...recipes.map((one): [string, string] => [String(one.id), `the next version of ${one.name}`]),
            ]}
            onChange={setInto}
          />
        )}
        {!into && (
          <TextField
            label="Name"
            value={name}
            onChange={setName}
            error={error?.where === "name" ? error.sentence : undefined}
          />
        )}
        <TextField label="What it is for (may be left out)" value={says} onChange={setSays} />
      </div>
      <ErrorText reason={error && error.where !== "name" ? error : null} />
    </Panel>
  )
}
