import { Head, Link, useForm, usePage } from "@inertiajs/react"
import { SelectField, TextField } from "@/components/Field"
import { cleaned, freshFace, PieceFields, type PieceForm } from "@/components/PieceFields"
import { Shell } from "@/components/Shell"
import { useUnsaved } from "@/lib/unsaved"
import type { PieceChoices } from "@/types"

type Form = PieceForm & { job_id: string; client: string; due: string }
type Props = PieceChoices & { job_id: number | null }

/** Size up a piece: for whom and by when, wood, faces, use, look. */
export default function NewPiece({ jobs, job_id, ...choices }: Props) {
  const errors = usePage<{ errors: Record<string, string> }>().props.errors
  const form = useForm<Form>({
    job_id: String(job_id ?? jobs[0]?.id ?? ""),
    client: "",
    due: "",
    name: "",
    count: "1",
    wood: "",
    use: "furniture",
    arris: "eased_2mm",
    shape: "",
    look: "",
    light: "D65",
    wanted_colour: "",
    wood_like: "",
    timber_id: null,
    wanted_gloss: "",
    pores: "",
    priority: "",
    faces: [freshFace("top")],
  })
  const { data, setData } = form
  useUnsaved(form.isDirty && !form.processing)
  return (
    <Shell>
      <Head title="New piece" />
      <form
        className="bench-form"
        noValidate
        onSubmit={(event) => {
          event.preventDefault()
          form.transform(cleaned)
          form.post("/pieces")
        }}
      >
        <h1 className="text-title">New piece</h1>
        <fieldset>
          <legend className="text-head">For whom</legend>
          <div className="form-row">
            <SelectField
              label="Job"
              value={data.job_id}
              onChange={(id) => setData("job_id", id)}
              options={[...jobs.map((job): [string, string] => [String(job.id), job.client]), ["", "a new job"]]}
            />
            {data.job_id === "" && (
              <>
                <TextField
                  label="Client or job"
                  value={data.client}
                  onChange={(client) => setData("client", client)}
                  error={errors.client}
                />
                <TextField
                  label="Due (may be left open)"
                  type="date"
                  value={data.due}
                  onChange={(due) => setData("due", due)}
                  error={errors.due}
                />
              </>
            )}
          </div>
        </fieldset>
        <PieceFields
          data={data}
          set={(change) => setData((before) => ({ ...before, ...change }))}
          errors={errors}
          choices={choices}
        />
        <div className="flex gap-3">
          <button type="submit" className="ui-tape" disabled={form.processing}>
            Keep it and go to its schedule
          </button>
          <Link href="/pieces" className="ui-button self-center">
            Cancel
          </Link>
        </div>
      </form>
    </Shell>
  )
}
