import { type ReactNode, useEffect, useState } from "react"
import { inkOn } from "@/colour/ink"
import { Cautions } from "@/components/Cautions"
import { type Tab, Tabs } from "@/components/Tabs"
import { duration, when } from "@/lib/time"
import { useMeasures } from "@/lib/units"
import type { Operation, Room, Row, Sheet, ShelfItem, Step } from "@/types"
import { FIELDS, FILM_KINDS } from "@/types/kinds"
import { FilmControl } from "./FilmControl"
import { FloorTab } from "./FloorTab"
import { GritsField } from "./GritsField"
import { HardWindows } from "./HardWindows"
import { Ledger } from "./Ledger"
import { LoopFields } from "./LoopFields"
import { CoatFields, ThinningFields } from "./MaterialFields"
import { MixForPass } from "./MixForPass"
import { PlaceFields } from "./PlaceFields"
import { StepFields, WhereFields } from "./StepFields"
import { StepOrder } from "./StepOrder"
import type { StepFieldsProps, StepSet } from "./stepProps"
import { TintFields } from "./TintFields"
import { WhenControl } from "./WhenControl"
import { WorkDrawing } from "./WorkDrawing"
import { WorkFields } from "./WorkFields"
import { METHODS } from "./words"

type Props = {
  sheet: Sheet
  row: Row
  shelf: ShelfItem[]
  rooms: Room[]
  faces: string[]
  /** Faces that are edges: a coat on another face reaches them. */
  edges: string[]
  /** Where the step stands in the drawing above, px from the left. */
  pointer: number | null
  /** What the looks say, where there are any. */
  look: ReactNode
  /** The piece's number. */
  piece: number
  /** How it looks before and after the step, where looks are computed. */
  colours: { hex: string; lightness: number }[] | null
  /** Where the colour desk finds a recipe for the step. */
  desk: string
  pending: (field: string) => boolean
  error: (field: string) => string | undefined
  onEdit: (operation: Operation, reason?: string) => void
  /** Coats that are done stay as they were: the rest is split off and changed. */
  onSplitAndSet: (step: Step, done: number, fields: StepSet) => void
  onMove: (row: Row, start: number) => void
  onUnpin: (row: Row) => void
}

/** Why the plan has put work in by itself. */
const INSERTED: Record<string, string> = {
  wipe_off: "What was flooded on comes off before it is tacky.",
  unmask: "The tape comes off while the film still parts along it.",
  scuff: "The window below is shut when hands are free, so the plan scuffs first.",
}

/** Fields that stand on another tab than the first. */
const ELSEWHERE = [
  { tab: "colour", fields: ["tint", "strength_percent"] },
  { tab: "mix", fields: ["thinning", "cut_lb_per_gal", "hardener_parts", "batches"] },
  { tab: "place", fields: ["role", "coats_a_day", "room", "dry_room", "tool"] },
]

/** The pointer panel: what the selected step is, when, how thick, and why it takes as long as it does. */
export function Detail(props: Props) {
  const { sheet, row, rooms, onEdit } = props
  const [tab, setTab] = useState("step")
  const refused = ELSEWHERE.find(({ fields }) => fields.some(props.error))?.tab
  // A refusal beside a field is read where the field is.
  useEffect(() => {
    if (refused) setTab(refused)
  }, [refused])
  const step = sheet.document.steps.find((candidate) => candidate.id === row.step)
  if (!step) return null
  const done = Math.max(
    0,
    ...sheet.rows
      .filter((other) => other.step === step.id && other.status !== "planned" && !other.inserted)
      .map((other) => other.coat),
  )
  const set = (fields: StepSet) => {
    const splits = done > 0 && done < (step.coats ?? 1) && Object.keys(fields).join() !== "coats"
    if (splits) props.onSplitAndSet(step, done, fields)
    else onEdit({ op: "change_step", id: step.id, set: fields })
  }
  const fields: StepFieldsProps = {
    step,
    shelf: props.shelf,
    rooms,
    faces: props.faces,
    homeRoom: sheet.document.room ?? rooms[0]?.name ?? "",
    pending: props.pending,
    error: props.error,
    onSet: set,
  }
  const tabs: (Tab | false | null | undefined)[] = [
    { id: "step", label: "Step", content: <StepTab {...props} step={step} fields={fields} /> },
    !row.inserted &&
      FIELDS[step.kind].includes("tint") && {
        id: "colour",
        label: "Colour",
        content: <ColourTab {...props} step={step} fields={fields} />,
      },
    !row.inserted &&
      (FILM_KINDS.includes(step.kind) || row.mix !== null) && {
        id: "mix",
        label: "Mix",
        content: <MixTab {...{ row, step, fields }} zone={sheet.zone} />,
      },
    row.floor && {
      id: "floor",
      label: "Sections",
      content: <FloorTab floor={row.floor} row={row} piece={props.piece} zone={sheet.zone} />,
    },
    !row.inserted && {
      id: "place",
      label: "How and where",
      content: <PlaceTab {...props} step={step} fields={fields} />,
    },
    Boolean(props.look) && { id: "look", label: "Look", content: props.look },
    row.cautions.length > 0 && {
      id: "cautions",
      label: "Cautions",
      count: row.cautions.length,
      content: <Cautions texts={row.cautions} />,
    },
  ]
  const item = props.shelf.find((candidate) => candidate.id === step.product)
  return (
    <section className="step-detail surface-lit" aria-label={`Detail of ${row.words}`}>
      {props.pointer !== null && <span className="detail-pointer" style={{ left: props.pointer }} aria-hidden="true" />}
      <Tabs
        label={`Detail of ${row.words}`}
        tabs={tabs.filter((shown): shown is Tab => Boolean(shown))}
        tab={tab}
        onTab={setTab}
        head={
          <header className="detail-head">
            <h2 className="panel-title">{row.words}</h2>
            <p className="text-second truncate">{says(row, step, item, sheet.zone)}</p>
          </header>
        }
      />
    </section>
  )
}

function says(row: Row, step: Step, item: ShelfItem | undefined, zone: string): string {
  const what = row.inserted
    ? ["inserted by the plan", when(row.work_start, zone)]
    : [item?.name, step.method && item ? METHODS[step.method] : null, row.pattern]
  const hands = row.hands_min > 0 ? `${duration(row.hands_min)} hands` : null
  return [...what, hands].filter(Boolean).join(", ")
}

type TabProps = Props & { step: Step; fields: StepFieldsProps }

/** What is changed most: when, with what, how thick; and why it dries as long as it does. */
function StepTab(props: TabProps) {
  const { row, sheet, step, fields } = props
  const ledger = row.drying ?? row.waits[0] ?? null
  return (
    <div className="detail-body">
      <div>
        {row.inserted ? (
          <p className="text-second">{INSERTED[row.kind]}</p>
        ) : (
          <>
            <WhenControl {...props} />
            <StepFields {...fields} />
            <StepOrder steps={sheet.document.steps} step={step} onEdit={props.onEdit} />
          </>
        )}
      </div>
      <div>
        {FILM_KINDS.includes(step.kind) && !row.inserted ? (
          <FilmControl
            {...props}
            item={props.shelf.find((candidate) => candidate.id === step.product)}
            onWet={(wet_um) => fields.onSet({ wet_um })}
          />
        ) : (
          <>
            {step.kind === "look" && !row.inserted && (
              <LoopFields
                {...fields}
                steps={sheet.document.steps}
                rows={sheet.rows}
                round={row.round}
                zone={sheet.zone}
              />
            )}
            <Window row={row} sheet={sheet} />
          </>
        )}
      </div>
      <div>
        {ledger ? (
          <Ledger ledger={ledger} zone={sheet.zone} title={ledgerTitle(row, ledger === row.drying)} />
        ) : (
          <p className="text-second">Nothing has to dry before this.</p>
        )}
      </div>
    </div>
  )
}

const AROUND = ["before this step", "after it"]

/** What colours it, by weight, and what that does to the look. */
function ColourTab({ shelf, step, fields, colours, desk, pending, error }: TabProps) {
  return (
    <div className="detail-colour">
      <TintFields {...{ step, shelf, desk, pending, error }} onSet={fields.onSet} />
      {colours && (
        <ul className="look-row" aria-label="The look">
          {colours.map(({ hex, lightness }, index) => (
            <li key={AROUND[index]} className="look-beside" style={{ background: hex, color: inkOn(lightness) }}>
              {AROUND[index]}
            </li>
          ))}
        </ul>
      )}
    </div>
  )
}

function MixTab({ row, step, fields, zone }: { row: Row; step: Step; fields: StepFieldsProps; zone: string }) {
  const thinning = FILM_KINDS.includes(step.kind) && <ThinningFields {...fields} />
  if (!row.mix) return <div className="step-fields">{thinning}</div>
  return <MixForPass row={row} mix={row.mix} zone={zone} thinning={thinning} {...fields} />
}

/** How it is worked, where it dries, and what may not be missed. */
function PlaceTab({ sheet, row, step, fields, edges, onEdit }: TabProps) {
  return (
    <div className="detail-place">
      {FIELDS[step.kind].includes("product") && <PlaceFields {...fields} sheet={sheet} edges={edges} />}
      {FIELDS[step.kind].includes("coats_a_day") && <CoatFields {...fields} />}
      {step.kind === "fill" && (
        <>
          {step.way === "slurry" && <GritsField {...fields} />}
          <WorkFields {...fields} />
        </>
      )}
      <WhereFields {...fields} />
      <HardWindows sheet={sheet} row={row} step={step} onSet={fields.onSet} onEdit={onEdit} />
    </div>
  )
}

function ledgerTitle(row: Row, own: boolean): string {
  const words = own ? row.drying?.words : row.waits[0]?.words
  return own ? `From laying to ${words}` : `Waits: ${words}`
}

function Window({ row, sheet }: { row: Row; sheet: Sheet }) {
  const { film } = useMeasures()
  const by = film.text(Math.abs(row.change_um ?? 0), 1)
  const left = film.text(row.film_um ?? 0)
  const change = row.change_um
    ? `${row.change_um > 0 ? "Adds" : "Takes"} ${by}, ${left} left.`
    : "Leaves the film as it is."
  return (
    <section aria-label="What it does">
      <WorkDrawing row={row} />
      {row.kind !== "look" && <h3 className="text-head">On the face</h3>}
      <p className="text-second">
        {row.kind !== "look" && change}
        {row.kind === "stain" && " Colour goes into the wood."}
        {row.kind === "oil" && " It goes into the wood and builds no film."}
      </p>
      {row.leaves.length > 0 && <p className="text-head">{sentence(row.leaves)}</p>}
      {row.spot_mix && (
        <p className="text-second" role="status">
          About {row.spot_mix.ml} ml for all spots. In a glass of {row.spot_mix.glass_ml} ml:{" "}
          {row.spot_mix.parts.map(weighed).join(", ")}.
        </p>
      )}
      <dl className="mt-2 flex gap-6">
        <div>
          <dt className="text-label">Hands</dt>
          <dd className="text-head">{row.hands_min ? duration(row.hands_min) : "none"}</dd>
        </div>
        <div>
          <dt className="text-label">Hands end</dt>
          <dd className="text-head">{when(row.hands_end, sheet.zone)}</dd>
        </div>
      </dl>
    </section>
  )
}

/** "shellac 8.5 g, walnut 0.09 g (2 drops)" */
const weighed = ({ name, g, drops }: { name: string; g: number; drops: number }, index: number) =>
  `${name} ${g} g${index > 0 ? ` (${drops} ${drops === 1 ? "drop" : "drops"})` : ""}`

/** "Satin, 30 GU; wax on it." */
const sentence = (parts: string[]): string => {
  const joined = parts.join("; ")
  return `${joined.charAt(0).toUpperCase()}${joined.slice(1)}.`
}
