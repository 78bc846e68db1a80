import { Head, Link, useForm, usePage } from "@inertiajs/react"
import { SelectField, TextField } from "@/components/Field"
import { Shell } from "@/components/Shell"
import { useUnsaved } from "@/lib/unsaved"
import type { BoardChoices } from "@/types"

/** Lay out a board: real size, a row of cells, for which piece, and what the cells begin with. */
export default function NewBoard({ pieces, grains }: BoardChoices) {
  const errors = usePage<{ errors: Record<string, string> }>().props.errors
  const form = useForm({
    name: "",
    piece_id: String(pieces[0]?.id ?? ""),
    wood: pieces[0]?.wood ?? "",
    grain: "closed",
    timber_lot: "",
    width_mm: "480",
    height_mm: "300",
    cells: "6",
    layers_from: "",
  })
  const { data, setData } = form
  useUnsaved(form.isDirty && !form.processing)
  return (
    <Shell>
      <Head title="New board" />
      <form
        className="bench-form"
        noValidate
        onSubmit={(event) => {
          event.preventDefault()
          form.post("/boards")
        }}
      >
        <h1 className="text-title">New sample board</h1>
        <div className="form-row">
          <TextField
            label="Name"
            value={data.name}
            onChange={(value) => setData("name", value)}
            error={errors.name}
            placeholder="Sample board 4"
          />
          <SelectField
            label="For"
            error={errors.piece_id}
            value={data.piece_id}
            onChange={(id) =>
              setData((before) => ({
                ...before,
                piece_id: id,
                wood: pieces.find((piece) => String(piece.id) === id)?.wood ?? before.wood,
              }))
            }
            options={[
              ...pieces.map((piece): [string, string] => [String(piece.id), `${piece.name} · ${piece.client}`]),
              ["", "no piece yet"],
            ]}
          />
        </div>
        <div className="form-row">
          <TextField label="Wood" value={data.wood} onChange={(value) => setData("wood", value)} error={errors.wood} />
          <SelectField
            label="Grain"
            value={data.grain}
            onChange={(value) => setData("grain", value)}
            options={grains.map((grain) => [grain, grain.replaceAll("_", " ")])}
            error={errors.grain}
          />
          <TextField
            label="Batch of timber (may be left open)"
            value={data.timber_lot}
            onChange={(value) => setData("timber_lot", value)}
          />
        </div>
        <div className="form-row">
          <TextField
            label="Width, mm"
            value={data.width_mm}
            onChange={(value) => setData("width_mm", value)}
            error={errors.width_mm}
          />
          <TextField
            label="Height, mm"
            value={data.height_mm}
            onChange={(value) => setData("height_mm", value)}
            error={errors.height_mm}
          />
          <TextField
            label="Cells in a row"
            value={data.cells}
            onChange={(value) => setData("cells", value)}
            error={errors.cells}
          />
          <SelectField
            label="Cells begin"
            value={data.layers_from}
            onChange={(value) => setData("layers_from", value)}
            options={[
              ["", "bare"],
              ...pieces
                .filter((piece) => piece.steps > 0)
                .map((piece): [string, string] => [String(piece.id), `as the schedule of ${piece.name}`]),
            ]}
          />
        </div>
        <div className="flex gap-3">
          <button type="submit" className="ui-tape" disabled={form.processing}>
            Lay out the board
          </button>
          <Link href="/boards" className="ui-button self-center">
            Cancel
          </Link>
        </div>
      </form>
    </Shell>
  )
}
