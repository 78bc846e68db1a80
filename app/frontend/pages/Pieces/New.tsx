import { Head, Link, useForm, usePage } from "@inertiajs/react"
import { SelectField, TextField } from "@/components/Field"
import { Shell } from "@/components/Shell"

type FaceForm = { name: string; area_m2: string; grain: string; kind: string }
type Form = {
  job_id: string
  client: string
  place: string
  due: string
  name: string
  count: string
  wood: string
  use: string
  arris: string
  look: string
  faces: FaceForm[]
}
type Props = { jobs: { id: number; client: string }[]; job_id: number | null; grains: string[]; uses: string[]; arrises: string[] }

const GRAIN: Record<string, string> = {
  closed: "closed (sycamore, alder, lime)",
  semi_open: "semi-open (walnut, elm's late wood)",
  open: "open (oak, ash, elm)",
  mdf_face: "MDF face",
  mdf_edge: "MDF edge",
  end_grain: "end grain",
}
const USE: Record<string, string> = {
  show: "looking at only",
  furniture: "furniture",
  table_top: "a table top",
  bar_top: "a bar top",
  floor: "a floor",
  marine: "marine exterior",
}
const ARRIS: Record<string, string> = { sharp: "sharp", eased_2mm: "eased to 2 mm", eased_3mm: "eased to 3 mm" }
const KIND: [string, string][] = [
  ["face", "show face"],
  ["back", "back"],
  ["inside", "inside"],
  ["edges", "edges"],
]
const face = (name: string): FaceForm => ({ name, area_m2: "", grain: "closed", kind: "face" })

/** Size up a piece: wood, faces, use, for whom and by when. */
export default function NewPiece({ jobs, job_id, grains, uses, arrises }: Props) {
  const errors = usePage<{ errors: Record<string, string> }>().props.errors
  const form = useForm<Form>({
    job_id: String(job_id ?? jobs[0]?.id ?? ""),
    client: "",
    place: "",
    due: "",
    name: "",
    count: "1",
    wood: "",
    use: "furniture",
    arris: "eased_2mm",
    look: "",
    faces: [face("top")],
  })
  const { data, setData } = form
  const setFace = (index: number, change: Partial<FaceForm>) =>
    setData(
      "faces",
      data.faces.map((one, at) => (at === index ? { ...one, ...change } : one)),
    )
  return (
    <Shell>
      <Head title="New piece" />
      <form
        className="form"
        noValidate
        onSubmit={(event) => {
          event.preventDefault()
          form.transform((given) => ({
            ...given,
            count: given.count.trim(),
            faces: given.faces.map((one) => ({ ...one, area_m2: one.area_m2.replace(",", ".").trim() })),
          }))
          form.post("/pieces")
        }}
      >
        <h1 className="title">New piece</h1>
        <fieldset>
          <legend className="head">For whom</legend>
          <div className="form-row">
            <SelectField
              label="Job"
              value={data.job_id}
              onChange={(id) => setData("job_id", id)}
              options={[...jobs.map((job): [string, string] => [String(job.id), job.client]), ["", "a new job"]]}
            />
            {data.job_id === "" && (
              <>
                <TextField label="Client or job" value={data.client} onChange={(value) => setData("client", value)} error={errors.client} />
                <TextField label="Due (may be left open)" type="date" value={data.due} onChange={(value) => setData("due", value)} />
              </>
            )}
          </div>
        </fieldset>
        <fieldset>
          <legend className="head">The piece</legend>
          <div className="form-row">
            <TextField label="Name" value={data.name} onChange={(value) => setData("name", value)} error={errors.name} />
            <TextField label="How many alike" value={data.count} onChange={(value) => setData("count", value)} error={errors.count} />
            <TextField
              label="Wood"
              value={data.wood}
              onChange={(value) => setData("wood", value)}
              error={errors.wood}
              list={["elm", "alder", "sycamore", "larch", "lime", "oak", "walnut"]}
            />
          </div>
          <div className="form-row">
            <SelectField
              label="It must stand up to"
              value={data.use}
              onChange={(value) => setData("use", value)}
              options={uses.map((use) => [use, USE[use] ?? use])}
              error={errors.use}
            />
            <SelectField
              label="Edges are"
              value={data.arris}
              onChange={(value) => setData("arris", value)}
              options={arrises.map((arris) => [arris, ARRIS[arris] ?? arris])}
            />
            <TextField
              label="Wanted look (may be left open)"
              value={data.look}
              onChange={(value) => setData("look", value)}
              placeholder="russet, satin, open pore"
            />
          </div>
        </fieldset>
        <fieldset>
          <legend className="head">Its faces, for one piece</legend>
          {data.faces.map((one, index) => (
            // biome-ignore lint/suspicious/noArrayIndexKey: faces have no identity before they are kept
            <div className="form-row" key={index}>
              <TextField
                label="Face"
                value={one.name}
                onChange={(name) => setFace(index, { name })}
                error={errors[`faces.${index}.name`]}
              />
              <TextField
                label="Area, m²"
                value={one.area_m2}
                onChange={(area_m2) => setFace(index, { area_m2 })}
                error={errors[`faces.${index}.area_m2`]}
              />
              <SelectField
                label="Grain"
                value={one.grain}
                onChange={(grain) => setFace(index, { grain })}
                options={grains.map((grain) => [grain, GRAIN[grain] ?? grain])}
              />
              <SelectField label="It is" value={one.kind} onChange={(kind) => setFace(index, { kind })} options={KIND} />
              {data.faces.length > 1 && (
                <button
                  type="button"
                  className="button self-end"
                  onClick={() =>
                    setData(
                      "faces",
                      data.faces.filter((_, at) => at !== index),
                    )
                  }
                >
                  Remove
                </button>
              )}
            </div>
          ))}
          <button
            type="button"
            className="button"
            data-quiet
            onClick={() => setData("faces", [...data.faces, { ...face(""), kind: "back" }])}
          >
            One more face
          </button>
        </fieldset>
        <div className="flex gap-3">
          <button type="submit" className="tape" disabled={form.processing}>
            Keep it and go to its schedule
          </button>
          <Link href="/pieces" className="button self-center">
            Leave it
          </Link>
        </div>
      </form>
    </Shell>
  )
}
