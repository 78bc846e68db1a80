import { speciesOf } from "@/drawing/woodBitmap"
import type { Found, PieceChoices } from "@/types"
import { WOODS } from "@/types/woods"
import { AreaField } from "./AreaField"
import { SelectField, TextField } from "./Field"
import { FoundFields } from "./FoundFields"
import { PRIORITY } from "./priority"
import { TimberField } from "./TimberField"

export type FaceForm = { name: string; area_m2: string; grain: string; kind: string; found: Found | null }
export type PieceForm = {
  name: string
  count: string
  wood: string
  wood_like: string
  timber_id: number | null
  use: string
  arris: string
  shape: string
  look: string
  light: string
  wanted_colour: string
  wanted_gloss: string
  pores: string
  priority: string
  faces: FaceForm[]
}

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
const ARRIS: Record<string, string> = {
  sharp: "sharp",
  eased_1mm: "eased to 1 mm",
  eased_2mm: "eased to 2 mm",
  eased_3mm: "eased to 3 mm",
}
const SHAPE: Record<string, string> = {
  flat: "flat",
  frame: "frame, box or case",
  profiled: "profiled or moulded",
  turned: "turned",
  carved: "carved or fretted",
}
const PORES: [string, string][] = [
  ["", "not said"],
  ["open", "to show"],
  ["closed", "closed"],
]
const KIND: [string, string][] = [
  ["face", "show face"],
  ["back", "back"],
  ["inside", "inside"],
  ["edges", "edges"],
]

export const freshFace = (name: string, kind = "face"): FaceForm => ({
  name,
  area_m2: "",
  grain: "closed",
  kind,
  found: null,
})

/** Another wood brings its pores, unless a hand chose others for the one before. */
const grained = (face: FaceForm, before: string, wood: string): FaceForm => {
  const [was, is] = [grainOf(before), grainOf(wood)]
  return is && (face.grain === was || (!was && face.grain === "closed")) ? { ...face, grain: is } : face
}

const grainOf = (wood: string) => WOODS[speciesOf(wood) ?? ""]?.grain

/** What is sent: numbers with a point, spaces off. */
export const cleaned = <T extends PieceForm>(form: T): T => ({
  ...form,
  count: form.count.trim(),
  faces: form.faces.map((face) => ({ ...face, area_m2: plain(face.area_m2.trim()) })),
})

/** A number with a point; a size as it was typed. */
const plain = (area: string) => (/^\d+,\d+$/.test(area) ? area.replace(",", ".") : area)

type Props = {
  data: PieceForm
  set: (change: Partial<PieceForm>) => void
  errors: Record<string, string>
  choices: Omit<PieceChoices, "jobs">
  /** Names of faces that steps and log entries already go by. */
  kept?: string[]
}

/** The fields of a piece: what it is, what it must stand up to, how it should look, its faces. */
export function PieceFields({ data, set, errors, choices, kept = [] }: Props) {
  const setFace = (index: number, change: Partial<FaceForm>) =>
    set({ faces: data.faces.map((face, at) => (at === index ? { ...face, ...change } : face)) })
  return (
    <>
      <fieldset>
        <legend className="text-head">The piece</legend>
        <div className="form-row">
          <TextField label="Name" value={data.name} onChange={(name) => set({ name })} error={errors.name} />
          <TextField
            label="How many alike"
            value={data.count}
            onChange={(count) => set({ count })}
            error={errors.count}
          />
          <TextField
            label="Wood"
            value={data.wood}
            onChange={(wood) =>
              set({
                wood,
                timber_id: speciesOf(wood) === speciesOf(data.wood) ? data.timber_id : null,
                faces: data.faces.map((face) => grained(face, data.wood, wood)),
              })
            }
            error={errors.wood}
            list={Object.keys(WOODS)}
          />
          {data.wood.trim() !== "" && !speciesOf(data.wood) && (
            <SelectField
              label="For colour, nearest to"
              value={data.wood_like}
              onChange={(wood_like) => set({ wood_like })}
              options={[["", "nothing: no looks"], ...Object.keys(WOODS).map((wood): [string, string] => [wood, wood])]}
              error={errors.wood_like}
            />
          )}
        </div>
        <div className="form-row">
          <TimberField
            wood={data.wood}
            like={data.wood_like}
            value={data.timber_id}
            timbers={choices.timbers}
            error={errors.timber_id}
            onChange={(timber_id) => set({ timber_id })}
          />
          <SelectField
            label="It must stand up to"
            value={data.use}
            onChange={(use) => set({ use })}
            options={choices.uses.map((use) => [use, USE[use] ?? use])}
            error={errors.use}
          />
          <SelectField
            label="Edges are"
            value={data.arris}
            onChange={(arris) => set({ arris })}
            options={choices.arrises.map((arris) => [arris, ARRIS[arris] ?? arris])}
          />
          <SelectField
            label="Shape"
            value={data.shape}
            onChange={(shape) => set({ shape })}
            options={[
              ["", "from the sizes, else flat"],
              ...choices.shapes.map((shape): [string, string] => [shape, SHAPE[shape] ?? shape]),
            ]}
            error={errors.shape}
          />
          <SelectField
            label="Priority"
            value={data.priority}
            onChange={(priority) => set({ priority })}
            options={[["", "same as job"], ...PRIORITY]}
            error={errors.priority}
          />
        </div>
      </fieldset>
      <fieldset>
        <legend className="text-head">Wanted look (may be left open)</legend>
        <div className="form-row">
          <TextField
            label="In words"
            value={data.look}
            onChange={(look) => set({ look })}
            placeholder="russet, satin, open pore"
          />
          <TextField
            label="Colour, L* a* b*"
            value={data.wanted_colour}
            onChange={(wanted_colour) => set({ wanted_colour })}
            error={errors.wanted_colour}
            placeholder="34.6 20.2 23.6"
          />
          <TextField
            label="Gloss at 60°, GU"
            value={data.wanted_gloss}
            onChange={(wanted_gloss) => set({ wanted_gloss })}
            error={errors.wanted_gloss}
            placeholder="25 to 35"
          />
          <SelectField
            label="Pores"
            value={data.pores}
            onChange={(pores) => set({ pores })}
            options={PORES}
            error={errors.pores}
          />
          <SelectField
            label="Seen in"
            value={data.light}
            onChange={(light) => set({ light })}
            options={choices.lights}
            error={errors.light}
          />
        </div>
      </fieldset>
      <fieldset>
        <legend className="text-head">Its faces, for one piece</legend>
        <p className="text-second text-fine">
          An area, a size off the rule, or shapes: 12 rods 25 x 900, 4 legs 60 x 700, taper 40 x 25 x 700, box or open
          box 600 x 400 x 300, edges of 1600 x 750 x 25, frame 1600 x 750 x 100, profiled 600 x 400, joined by +.
        </p>
        {data.faces.map((face, index) => (
          // biome-ignore lint/suspicious/noArrayIndexKey: faces have no identity before they are kept
          <div className="form-row" key={index}>
            {kept.includes(face.name) ? (
              <p className="ui-field">
                <span className="text-label">Face</span>
                <span className="text-head flex min-h-11 items-center">{face.name}</span>
              </p>
            ) : (
              <TextField
                label="Face"
                value={face.name}
                onChange={(name) => setFace(index, { name })}
                error={errors[`faces.${index}.name`]}
              />
            )}
            <AreaField
              value={face.area_m2}
              onChange={(area_m2) => setFace(index, { area_m2 })}
              error={errors[`faces.${index}.area_m2`]}
            />
            <SelectField
              label="Grain"
              value={face.grain}
              onChange={(grain) => setFace(index, { grain })}
              options={choices.grains.map((grain) => [grain, GRAIN[grain] ?? grain])}
            />
            <SelectField label="It is" value={face.kind} onChange={(kind) => setFace(index, { kind })} options={KIND} />
            <FoundFields
              found={face.found}
              coats={choices.coats}
              error={errors[`faces.${index}.found`]}
              onChange={(found) => setFace(index, { found })}
            />
            {data.faces.length > 1 && !kept.includes(face.name) && (
              <button
                type="button"
                className="ui-button self-end"
                onClick={() => set({ faces: data.faces.filter((_, at) => at !== index) })}
              >
                Remove
              </button>
            )}
          </div>
        ))}
        {errors.faces && (
          <p className="error-text" role="alert">
            {errors.faces}
          </p>
        )}
        <button
          type="button"
          className="ui-button"
          data-quiet
          onClick={() => set({ faces: [...data.faces, freshFace("", "back")] })}
        >
          One more face
        </button>
      </fieldset>
    </>
  )
}
