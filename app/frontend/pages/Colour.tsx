import { Head } from "@inertiajs/react"
import { useMemo } from "react"
import { Answers } from "@/colour/Answers"
import { IntoSchedule } from "@/colour/IntoSchedule"
import { TargetPhoto } from "@/colour/TargetPhoto"
import { Taught } from "@/colour/Taught"
import { SelectField, TextField } from "@/components/Field"
import { PageHead } from "@/components/PageHead"
import { Shell } from "@/components/Shell"
import { send } from "@/lib/api"
import { useAnswer } from "@/lib/requests"
import { useFields } from "@/lib/useFields"
import type { ColourAnswer, ColourPage } from "@/types"

type Lab = [number, number, number]
type Known = { id: number; words: string; lab: Lab; wood: string }

const numbers = (typed: string): number[] => (typed.replaceAll(",", ".").match(/-?\d+(\.\d+)?/g) ?? []).map(Number)
const text = (lab: Lab) => lab.map((value) => value.toFixed(1)).join(" ")

/** The colour desk: from a wood and a target to a recipe by weight, or from what is there to what cancels its cast. */
export default function ColourDesk(props: ColourPage) {
  const asked = new URLSearchParams(location.search)
  const from = props.cells.find((cell) => String(cell.id) === asked.get("cell"))
  const named = asked.get("piece")
  const wanted = props.pieces.find((piece) => String(piece.id) === named) ?? props.pieces[0]
  const [fields, set] = useFields(() => ({
    target: text(wanted?.lab ?? [45, 15, 25]),
    way: props.work?.kind ?? (from ? "tone" : "stain"),
    wood: props.woods.includes(from?.wood ?? "") ? (from?.wood ?? "") : (speciesOf(props, wanted) ?? "elm"),
    start: from ? text(from.lab) : props.work?.lab ? text(props.work.lab) : "",
    chosen: props.colourants.map((colourant) => colourant.id),
    under: "30",
    batch: "500",
  }))
  const { target, way, wood, start, chosen, under, batch } = fields
  const question = useMemo(
    () => ({
      wood,
      way,
      under: under === "" ? null : Number(under),
      wood_lab: start.trim() ? numbers(start) : null,
      target: numbers(target),
      colourants: chosen,
      batch_g: numbers(batch)[0] ?? null,
    }),
    [wood, way, under, start, target, chosen, batch],
  )
  const { answer, error } = useAnswer({
    key: ["colour", question],
    ask: (signal) => send<ColourAnswer>("POST", "/boards/colour", question, signal),
    keep: true,
  })
  // What is laid over is carried in any clear film: only what goes into any colours it.
  const fits = (colourant: { concentrate: boolean }) => way === "stain" || colourant.concentrate
  const errorAt = (where: string) => (error?.where === where ? error.sentence : undefined)
  const known: [string, string][] = [
    ["", "typed"],
    ...props.pieces.map((piece): [string, string] => [`p${piece.id}`, `wanted look of ${piece.words}`]),
    ...props.cells.map((cell): [string, string] => [`c${cell.id}`, cell.words]),
  ]
  const labOf = (key: string) =>
    (key.startsWith("p") ? props.pieces : props.cells).find((candidate) => String(candidate.id) === key.slice(1))?.lab
  return (
    <Shell>
      <Head title="Colour desk" />
      <PageHead title="Colour desk" facts={<>{props.says} Colours by day, D65, 2° eye.</>} />
      <div className="desk-grid">
        <section aria-label="The question" className="desk-form">
          <SelectField
            label="Target"
            value={known.find(([key]) => key && text(labOf(key) ?? [0, 0, 0]) === target)?.[0] ?? ""}
            options={known}
            onChange={(key) => {
              const lab = labOf(key)
              if (lab) set({ target: text(lab) })
            }}
          />
          <TextField
            label="Target as L* a* b*"
            value={target}
            onChange={(target) => set({ target })}
            error={errorAt("target")}
          />
          <TargetPhoto photos={props.photos} onTarget={(lab) => set({ target: text(lab) })} />
          <SelectField
            label="Colour goes"
            value={way}
            options={[
              ["stain", "into the bare wood, as a stain"],
              ["tone", "over what is there, as a toner"],
              ["glaze", "over what is there, as a glaze that is wiped back"],
              ["mend", "over spots, as a touch-up"],
            ]}
            onChange={(way) => set({ way })}
          />
          {way === "stain" && (
            <SelectField
              label="Seen"
              value={under}
              options={[
                ["30", "under a clear satin film"],
                ["85", "under a clear gloss film"],
                ["", "dry and bare"],
              ]}
              onChange={(under) => set({ under })}
            />
          )}
          <SelectField
            label="Wood"
            value={wood}
            options={props.woods.map((name) => [name, name])}
            onChange={(wood) => set({ wood })}
            error={errorAt("wood")}
          />
          <TextField
            label={
              way !== "stain"
                ? "What is there now, L* a* b*"
                : "The bare board as read, L* a* b* (left open: a mean board)"
            }
            value={start}
            onChange={(start) => set({ start })}
            error={errorAt("wood_lab")}
            placeholder={way !== "stain" ? "42 14 26" : "64.5 8.0 21.5"}
          />
          <TextField label="Batch, g" value={batch} onChange={(batch) => set({ batch })} error={errorAt("batch_g")} />
          <fieldset>
            <legend className="text-label">Colourants at hand</legend>
            {errorAt("colourants") && (
              <p className="error-text" role="alert">
                {errorAt("colourants")}
              </p>
            )}
            {props.colourants.filter(fits).map((colourant) => (
              <label key={colourant.id} className="ui-check">
                <input
                  type="checkbox"
                  checked={chosen.includes(colourant.id)}
                  onChange={(event) =>
                    set({
                      chosen: event.target.checked
                        ? [...chosen, colourant.id]
                        : chosen.filter((id) => id !== colourant.id),
                    })
                  }
                />
                <svg width="18" height="18" aria-hidden="true">
                  <rect width="18" height="18" fill={colourant.hex} stroke="var(--ink)" />
                </svg>
                {colourant.name}
              </label>
            ))}
          </fieldset>
        </section>
        <section aria-label="The answer" aria-live="polite" className="min-w-0">
          {answer ? (
            <Answers answer={answer} way={way} scale={props.scale_g}>
              {(picked) => (
                <IntoSchedule
                  key={way}
                  {...{ way, picked }}
                  batch={answer.batch_g}
                  pieces={props.works}
                  piece={Number(named) || null}
                  step={props.work?.kind === way ? props.work.step : null}
                />
              )}
            </Answers>
          ) : (
            <p className="text-second">{error ? "" : "computing"}</p>
          )}
          <Taught lessons={props.taught} />
          {error && !["target", "wood", "wood_lab", "batch_g", "colourants"].includes(error.where) && (
            <p className="error-text" role="alert">
              {error.sentence}
            </p>
          )}
        </section>
      </div>
    </Shell>
  )
}

const speciesOf = (props: ColourPage, piece: Known | undefined) =>
  props.woods.find((wood) => piece?.wood.toLowerCase().includes(wood))
