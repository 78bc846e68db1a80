import { inkOn } from "@/colour/ink"
import { duration, when } from "@/lib/time"
import { useMeasures } from "@/lib/units"
import type { Row, Sheet, Step } from "@/types"
import { FIELDS, FILM_KINDS } from "@/types/kinds"
import { spotsSay } from "../spots"
import { FilmControl } from "./FilmControl"
import { GritsField } from "./GritsField"
import { HardWindows } from "./HardWindows"
import { Ledger } from "./Ledger"
import { LoopFields } from "./LoopFields"
import { CoatFields, ThinningFields } from "./MaterialFields"
import { MixForPass } from "./MixForPass"
import { PlaceFields } from "./PlaceFields"
import { HoursField, StepFields, WhereFields } from "./StepFields"
import { StepOrder } from "./StepOrder"
import type { DetailProps, StepFieldsProps } from "./stepProps"
import { TintFields } from "./TintFields"
import { WhenControl } from "./WhenControl"
import { WorkDrawing } from "./WorkDrawing"
import { WorkFields } from "./WorkFields"

type TabProps = DetailProps & { step: Step; fields: StepFieldsProps }

/** Why the plan has put work in by itself. */
const INSERTED: Record<string, string> = {
  wipe_off: "What was flooded on comes off before it is tacky.",
  unmask: "The tape comes off while the film still parts along it.",
  remask: "Tape again for the next coat. The mask step sets when tape comes off.",
  scuff: "The window below is shut when hands are free, so the plan scuffs first.",
}

/** What is changed most: when, with what, how thick; and why it dries as long as it does. */
export function StepTab(props: TabProps) {
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
            near={(wet_um) => fields.near?.({ wet_um })}
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
export function ColourTab({ shelf, step, fields, colours, desk, pending, error }: TabProps) {
  return (
    <div className="detail-colour">
      <TintFields {...{ step, shelf, desk, pending, error }} onSet={fields.onSet} near={fields.near} />
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

export function MixTab({ row, step, fields, zone }: { row: Row; step: Step; fields: StepFieldsProps; zone: string }) {
  const thinning = FILM_KINDS.includes(step.kind) && <ThinningFields {...fields} />
  if (!row.mix) return <div className="step-fields">{thinning}</div>
  return <MixForPass row={row} mix={row.mix} zone={zone} thinning={thinning} {...fields} />
}

/** How it is worked, where it dries, and what may not be missed. */
export function PlaceTab({ sheet, row, step, fields, edges, onEdit }: TabProps) {
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
      {step.kind !== "wait" && <HoursField {...fields} />}
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
          {spotsSay(row.spot_mix)}
        </p>
      )}
      <dl className="mt-2 flex gap-6">
        <div>
          <dt className="text-label">Hands</dt>
          <dd className="text-head whitespace-nowrap">{row.hands_min ? duration(row.hands_min) : "none"}</dd>
        </div>
        <div>
          <dt className="text-label">Hands end</dt>
          <dd className="text-head">{when(row.hands_end, sheet.zone)}</dd>
        </div>
      </dl>
    </section>
  )
}

/** "Satin, 30 GU; wax on it." */
const sentence = (parts: string[]): string => {
  const joined = parts.join("; ")
  return `${joined.charAt(0).toUpperCase()}${joined.slice(1)}.`
}
