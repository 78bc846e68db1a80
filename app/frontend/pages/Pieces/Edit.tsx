import { Head, Link, useForm, usePage } from "@inertiajs/react"
import { cleaned, type PieceForm as Form, PieceFields } from "@/components/PieceFields"
import { Shell } from "@/components/Shell"
import { when } from "@/lib/time"
import { useUnsaved } from "@/lib/unsaved"
import type { PieceChoices, PieceForm } from "@/types"

type Measured = { what: string; said: string; at: number }
type Props = PieceChoices & { piece: PieceForm; measured: Measured[]; zone: string }

/** Change what is known of a piece; its faces keep their names, since steps and log go by them. */
export default function EditPiece({ piece, measured, zone, ...choices }: Props) {
  const errors = usePage<{ errors: Record<string, string> }>().props.errors
  const form = useForm<Form>({
    name: piece.name,
    count: String(piece.count),
    wood: piece.wood,
    use: piece.use ?? "furniture",
    arris: piece.arris,
    shape: piece.shape ?? "",
    look: piece.look ?? "",
    light: piece.light,
    wanted_colour: piece.wanted_colour ?? "",
    wood_like: piece.wood_like ?? "",
    timber_id: piece.timber_id,
    wanted_gloss: piece.wanted_gloss ?? "",
    pores: piece.pores ?? "",
    priority: piece.priority ?? "",
    faces: piece.faces.map((face) => ({ ...face, area_m2: String(face.area_m2) })),
  })
  useUnsaved(form.isDirty && !form.processing)
  return (
    <Shell>
      <Head title={`Change ${piece.name}`} />
      <form
        className="bench-form"
        noValidate
        onSubmit={(event) => {
          event.preventDefault()
          form.transform(cleaned)
          form.patch(`/pieces/${piece.id}`)
        }}
      >
        <h1 className="text-title">{piece.name}</h1>
        <PieceFields
          data={form.data}
          set={(change) => form.setData((before) => ({ ...before, ...change }))}
          errors={errors}
          choices={choices}
          kept={piece.faces.map((face) => face.name)}
        />
        {measured.length > 0 && (
          <section aria-label="What was measured">
            <h2 className="text-head">What was measured</h2>
            <ul>
              {measured.map(({ what, said, at }) => (
                <li key={`${at} ${what}`} className="thin-rule py-1">
                  {what}: <b>{said}</b> <span className="text-second">{when(at, zone)}</span>
                </li>
              ))}
            </ul>
          </section>
        )}
        <div className="flex gap-3">
          <button type="submit" className="ui-tape" disabled={form.processing}>
            Keep the change
          </button>
          <Link href={`/pieces/${piece.id}/schedule`} className="ui-button self-center">
            Cancel
          </Link>
        </div>
      </form>
    </Shell>
  )
}
