import { Head, Link } from "@inertiajs/react"
import { useState } from "react"
import { AreaWords } from "@/area/AreaWords"
import type { AreaFields, Part } from "@/area/fields"
import { KeepSketch } from "@/area/KeepSketch"
import { Sketch } from "@/area/Sketch"
import { SelectField, TextField } from "@/components/Field"
import { NumberField } from "@/components/NumberField"
import { PageHead } from "@/components/PageHead"
import { Shell } from "@/components/Shell"
import { Patterns } from "@/drawing/Patterns"
import { send } from "@/lib/api"
import { useKeys } from "@/lib/keys"
import { useAnswer } from "@/lib/requests"
import { duration } from "@/lib/time"
import { useMeasures, useUnits } from "@/lib/units"
import { useUnsaved } from "@/lib/unsaved"
import type { AreaAnswer, AreaPage } from "@/types"
import { SCALES } from "@/types/scales"

const SIDES = ["from the left, m", "from the top, m", "across, m", "down, m"]
const TOOLS: Record<string, string> = {
  brush: "brush, 10 cm",
  roller: "roller, 25 cm",
  applicator: "floor applicator, 45 cm",
}

/** A floor or hall in sections that stay wet at their edge, laid on so that the last one ends at the exit. */
export default function LargeAreaPage({ choices, first, piece }: AreaPage) {
  const offered = choices.products.filter((product) => product.tools.includes(first.tool))
  const [fields, setFields] = useState<AreaFields>({
    ...first,
    product: offered.find((product) => product.code === first.product)?.code ?? offered[0]?.code ?? "",
    room: choices.rooms.find((room) => room === first.room) ?? choices.rooms[0] ?? "",
    rate: "",
  })
  const [begun] = useState(fields)
  useUnsaved(fields !== begun)
  const [selected, setSelected] = useState<number | null>(null)
  const [placing, setPlacing] = useState(false)
  const [units] = useUnits()
  const { area } = useMeasures()
  const { answer, error } = useAnswer({
    key: ["area", fields],
    ask: (signal) => send<AreaAnswer>("POST", "/pieces/area", { fields }, signal),
    keep: true,
  })
  const set = (change: Partial<AreaFields>) => setFields((before) => ({ ...before, ...change }))
  const item = choices.products.find((product) => product.code === fields.product)
  const part = selected === null ? undefined : fields.parts[selected]
  const side = (index: number, value: number) =>
    set({
      parts: fields.parts.map((part, at) =>
        at === selected ? (part.map((old, nth) => (nth === index ? value : old)) as Part) : part,
      ),
    })
  const add = (drawn: Part) => {
    set({ parts: [...fields.parts, drawn] })
    setSelected(fields.parts.length)
  }
  const remove = () => {
    if (selected === null || fields.parts.length < 2) return
    set({ parts: fields.parts.filter((_, at) => at !== selected) })
    setSelected(null)
  }
  useKeys({ Delete: remove, Backspace: remove, e: () => setPlacing(true) })
  const liquid = (ml: number) =>
    units === "us" ? `${(ml / SCALES.volume.gal).toFixed(2)} gal` : `${(ml / 1000).toFixed(1)} l`
  const at = (where: string) => (error?.where === where ? error.sentence : undefined)
  return (
    <Shell
      keys={[
        ["E", "Put the exit somewhere else"],
        ["Delete", "Take the selected part away"],
      ]}
    >
      <Head title="Large area" />
      <Patterns />
      <PageHead
        title={piece ? `${piece.name}: its sketch` : "Large area"}
        facts={
          <>
            <Link href="/pieces" className="underline underline-offset-2">
              Jobs and pieces
            </Link>{" "}
            · drag on free ground to draw a part; each section stays wet at its edge until the next strip meets it
          </>
        }
      >
        {answer && (
          <dl className="ui-summary">
            <div>
              <dt>area</dt>
              <dd>{area.text(answer.area_m2)}</dd>
            </div>
            <div>
              <dt>one coat</dt>
              <dd>{liquid(answer.ml)}</dd>
            </div>
            <div>
              <dt>{answer.coats} coats</dt>
              <dd>{liquid(answer.all_ml)}</dd>
            </div>
            <div>
              <dt>hands a coat</dt>
              <dd>{duration(answer.minutes)}</dd>
            </div>
          </dl>
        )}
      </PageHead>
      <div className="schedule-grid">
        <div className="min-w-0">
          <Sketch
            parts={fields.parts}
            exit={fields.exit}
            answer={answer}
            selected={selected}
            placing={placing}
            onSelect={setSelected}
            onDraw={add}
            onExit={(exit) => {
              set({ exit })
              setPlacing(false)
            }}
          />
          <div className="flex flex-wrap items-end gap-3 mt-2">
            <button type="button" className="ui-button" aria-pressed={placing} onClick={() => setPlacing(!placing)}>
              {placing ? "Touch where it is" : "Move the exit"}
            </button>
            <button type="button" className="ui-button" onClick={() => add(beside(fields.parts))}>
              Another part
            </button>
            <span className="ml-auto">
              <KeepSketch fields={fields} piece={piece} choices={choices} ready={answer !== null && error === null} />
            </span>
            {part && (
              <button
                type="button"
                className="ui-button"
                data-quiet
                disabled={fields.parts.length < 2}
                onClick={remove}
              >
                Take part {(selected ?? 0) + 1} away
              </button>
            )}
          </div>
          {part && (
            <div className="room-fields mt-3">
              {SIDES.map((label, index) => (
                <NumberField
                  key={`${selected} ${label}`}
                  label={`Part ${(selected ?? 0) + 1} ${label}`}
                  value={part[index] ?? 0}
                  onNumber={(value) => side(index, value)}
                />
              ))}
            </div>
          )}
          {error && (
            <p className="error-text" role="alert">
              {error.sentence}
            </p>
          )}
        </div>
        <div className="min-w-0 grid gap-3 content-start">
          <SelectField
            label="Product"
            value={fields.product}
            error={at("product")}
            options={choices.products.map((product): [string, string] => [product.code, product.name])}
            onChange={(product) => {
              const tools = choices.products.find((candidate) => candidate.code === product)?.tools ?? []
              set({ product, tool: tools.includes(fields.tool) ? fields.tool : (tools[0] ?? fields.tool) })
            }}
          />
          <div className="room-fields">
            <SelectField
              label="Laid on with"
              value={fields.tool}
              options={(item?.tools ?? choices.tools).map((tool): [string, string] => [tool, TOOLS[tool] ?? tool])}
              onChange={(tool) => set({ tool })}
            />
            <SelectField
              label="In the air of"
              value={fields.room}
              options={choices.rooms.map((room): [string, string] => [room, room])}
              onChange={(room) => set({ room })}
            />
            <SelectField
              label="Strips run"
              value={fields.strips}
              options={[
                ["along", "along the longer side"],
                ["x", "across the sketch"],
                ["y", "up and down it"],
              ]}
              onChange={(strips) => set({ strips })}
            />
            <TextField
              label="m² an hour"
              value={fields.rate}
              placeholder={String(choices.rates[fields.tool] ?? "")}
              error={at("rate")}
              onChange={(rate) => set({ rate })}
            />
            <TextField
              label="Coats"
              value={String(fields.coats)}
              error={at("coats")}
              onChange={(coats) => set({ coats: Number(coats.replace(/\D/g, "")) || 1 })}
            />
          </div>
          {answer && <AreaWords answer={answer} liquid={liquid} />}
        </div>
      </div>
    </Shell>
  )
}

/** A new part beside those that are there. */
const beside = (parts: Part[]): Part => [
  Math.max(...parts.map((part) => part[0] + part[2])),
  Math.min(...parts.map((part) => part[1])),
  2,
  2,
]
