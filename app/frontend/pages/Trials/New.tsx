import { Head, Link, router } from "@inertiajs/react"
import { useMemo, useState } from "react"
import { LightChoice } from "@/colour/LightChoice"
import { useLight } from "@/colour/useLight"
import { SelectField, TextField } from "@/components/Field"
import { PageHead } from "@/components/PageHead"
import { Shell } from "@/components/Shell"
import { send as request } from "@/lib/api"
import { useAnswer, useSend } from "@/lib/requests"
import { discardUnsaved, useUnsaved } from "@/lib/unsaved"
import { useFields } from "@/lib/useFields"
import { FactorRows } from "@/trial/FactorRows"
import { type Factor, FIELDS, levels, type TrialPiece, type TrialStep } from "@/trial/factors"
import { Says } from "@/trial/Says"
import { TrialBoard } from "@/trial/TrialBoard"
import type { TrialPage, TrialPreview } from "@/types"

const DESIGNS: [string, string][] = [
  ["full", "every combination"],
  ["half", "half of them"],
  ["quarter", "a quarter of them"],
  ["subset", "a balanced subset"],
  ["one_at_a_time", "one thing at a time"],
]
const HANDLED = ["factors", "design", "runs", "name", "width_mm", "height_mm", "boards", "cells"]

/**
 * The board designer: what to vary on which base, and at once the board as it will be, what it takes and when it can be
 * judged.
 */
export default function TrialDesigner({ pieces, piece: first, steps, grains, products }: TrialPage) {
  const [light, setLight] = useLight()
  const [fields, set] = useFields(() => ({
    ...begunWith(withSteps(pieces, first, steps)),
    name: "",
    design: "full",
    runs: "8",
    size: { width: "480", height: "305", boards: "1" },
    lot: "",
    shuffled: false,
    strip: true,
  }))
  const { piece, name, factors, design, runs, size, wood, grain, lot, shuffled, strip } = fields
  const asked = useMemo(
    () => ({
      piece_id: piece?.id ?? null,
      wood,
      grain,
      timber_lot: lot,
      width_mm: whole(size.width),
      height_mm: whole(size.height),
      boards: whole(size.boards),
      design,
      runs: design === "subset" ? whole(runs) : null,
      shuffled,
      step_strip: strip,
      factors: factors.map((factor) => ({
        name: named(factor, piece),
        step: factor.step,
        field: factor.field,
        levels: levels(factor),
      })),
    }),
    [piece, wood, grain, lot, size, design, runs, shuffled, strip, factors],
  )
  const looked = useAnswer({
    key: ["trial", asked],
    ask: (signal) => request<TrialPreview>("POST", "/trials/preview", asked, signal),
    keep: true,
  })
  const preview = looked.answer
  const { send, error: refused } = useSend()
  const error = looked.error ?? refused
  const [begun] = useState(fields)
  useUnsaved(fields !== begun && pieces.length > 0)
  const make = () =>
    send(
      () => request<{ location: string }>("POST", "/trials", { ...asked, name }),
      ({ location }) => {
        discardUnsaved()
        router.visit(location)
      },
    )
  const errorAt = (where: string) =>
    error?.where === where ? `${error.sentence}${error.accepted ? ` (${error.accepted})` : ""}` : undefined
  const choose = (id: string) =>
    send(
      () => request<Pick<TrialPage, "steps">>("GET", `/trials/base/${id}`),
      ({ steps }) => set(begunWith(withSteps(pieces, Number(id), steps))),
    )
  if (pieces.length === 0)
    return (
      <Shell>
        <Head title="Design a trial" />
        <h1 className="text-title">Design a trial</h1>
        <p className="text-second mt-2">
          A trial begins with the schedule of a piece and varies it.{" "}
          <Link href="/pieces" className="underline">
            Write a schedule first
          </Link>
          , or{" "}
          <Link href="/boards/new" className="underline">
            lay out a free board
          </Link>
          .
        </p>
      </Shell>
    )
  return (
    <Shell>
      <Head title="Design a trial" />
      <PageHead
        title="Design a trial"
        facts={
          <>
            Vary a schedule over the cells of a board, and see what each thing does.{" "}
            <Link href="/boards/new" className="underline underline-offset-2">
              Or lay out a free board
            </Link>
          </>
        }
      />
      <div className="trial-designer">
        <form
          className="desk-form"
          noValidate
          onSubmit={(event) => {
            event.preventDefault()
            void make()
          }}
        >
          <SelectField
            label="Begins with the schedule of"
            value={String(piece?.id ?? "")}
            options={pieces.map((candidate) => [String(candidate.id), `${candidate.name}, ${candidate.wood}`])}
            onChange={(id) => void choose(id)}
          />
          <FactorRows
            factors={factors}
            steps={piece?.steps ?? []}
            products={products}
            onChange={(factors) => set({ factors })}
            error={errorAt("factors")}
          />
          <SelectField
            label="Cells"
            value={design}
            options={DESIGNS}
            onChange={(design) => set({ design })}
            error={errorAt("design")}
          />
          {design === "subset" && (
            <TextField label="How many cells" value={runs} onChange={(runs) => set({ runs })} error={errorAt("runs")} />
          )}
          <div className="desk-three">
            <TextField
              label="Width, mm"
              value={size.width}
              onChange={(width) => set({ size: { ...size, width } })}
              error={errorAt("width_mm")}
            />
            <TextField
              label="Height, mm"
              value={size.height}
              onChange={(height) => set({ size: { ...size, height } })}
              error={errorAt("height_mm")}
            />
            <TextField
              label="Times over"
              value={size.boards}
              onChange={(boards) => set({ size: { ...size, boards } })}
              error={errorAt("boards")}
            />
          </div>
          <div className="desk-three">
            <TextField label="Wood" value={wood} onChange={(wood) => set({ wood })} />
            <SelectField
              label="Grain"
              value={grain}
              options={grains.map((candidate) => [candidate, candidate.replaceAll("_", " ")])}
              onChange={(grain) => set({ grain })}
            />
            <TextField label="Timber batches" value={lot} onChange={(lot) => set({ lot })} placeholder="7, 9" />
          </div>
          <label className="ui-check">
            <input type="checkbox" checked={strip} onChange={(event) => set({ strip: event.target.checked })} />A step
            strip at the edge
          </label>
          <label className="ui-check">
            <input type="checkbox" checked={shuffled} onChange={(event) => set({ shuffled: event.target.checked })} />
            Cells shuffled: fair, more masking
          </label>
          <TextField
            label="Name of the trial"
            value={name}
            onChange={(name) => set({ name })}
            error={errorAt("name")}
            placeholder="Desk dye and sealer"
          />
          <button type="submit" className="ui-tape" disabled={!preview || Boolean(error && error.where !== "name")}>
            Lay out{" "}
            {preview && preview.boards * preview.parts.length > 1
              ? `${preview.boards * preview.parts.length} boards`
              : "the board"}
          </button>
        </form>
        <section aria-label="The board" aria-live="polite" className="min-w-0">
          {error && (!HANDLED.includes(error.where) || error.where === "cells") && (
            <p className="ui-trouble" role="alert">
              {error.sentence}
              {error.accepted ? `. Accepted: ${error.accepted}` : ""}
            </p>
          )}
          {preview && (
            <div data-state={error ? "stale" : "fresh"} className="designer-answer">
              {preview.parts.map((labels, part) => (
                <TrialBoard
                  key={labels.join()}
                  preview={preview}
                  part={part}
                  wood={wood}
                  grain={grain}
                  width_mm={whole(size.width) ?? 480}
                  height_mm={whole(size.height) ?? 305}
                />
              ))}
              <LightChoice lights={preview.lights} light={light} onLight={setLight} />
              <Says preview={preview} />
            </div>
          )}
        </section>
      </div>
    </Shell>
  )
}

const whole = (typed: string): number | null => (/^\d+$/.test(typed.trim()) ? Number(typed) : null)

const named = (factor: Factor, piece: TrialPiece | undefined) => {
  const step = piece?.steps.find((candidate) => candidate.id === factor.step)
  const label = FIELDS.find((candidate) => candidate.field === factor.field)?.label.split(",")[0]
  return `${step?.words ?? factor.step}: ${label}`
}

/** What a trial of a piece begins with. */
const withSteps = (pieces: TrialPage["pieces"], id: number | null, steps: TrialStep[]): TrialPiece | undefined => {
  const piece = pieces.find((candidate) => candidate.id === id)
  return piece && { ...piece, steps }
}

const begunWith = (piece: TrialPiece | undefined) => ({
  piece,
  factors: firstFactors(piece),
  wood: piece?.wood ?? "",
  grain: piece?.grain ?? "closed",
})

/** Stain strength and coats of the first film, where there are such steps. */
function firstFactors(piece: TrialPiece | undefined): Factor[] {
  const wanted: [string, Factor["field"]][] = [
    ["stain", "strength_percent"],
    ["coat", "coats"],
  ]
  return wanted.flatMap(([kind, field]) => {
    const step = piece?.steps.find((candidate) => candidate.kind === kind)
    const first = FIELDS.find((candidate) => candidate.field === field)
    return step && first ? [{ key: `${step.id} ${field}`, step: step.id, field, typed: first.first(step.step) }] : []
  })
}
