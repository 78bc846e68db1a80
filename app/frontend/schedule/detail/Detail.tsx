import { Link } from "@inertiajs/react"
import { useEffect, useState } from "react"
import { Cautions } from "@/components/Cautions"
import { type Tab, Tabs } from "@/components/Tabs"
import { duration, when } from "@/lib/time"
import type { Row, ShelfItem, Step } from "@/types"
import { FIELDS, FILM_KINDS } from "@/types/kinds"
import type { Coats } from "../coats"
import { METHODS } from "../words"
import { ColourTab, MixTab, PlaceTab, StepTab } from "./DetailTabs"
import { FloorTab } from "./FloorTab"
import type { DetailProps, StepFieldsProps, StepSet } from "./stepProps"

/** Fields that stand on another tab than the first. */
const ELSEWHERE = [
  { tab: "colour", fields: ["tint", "strength_percent"] },
  { tab: "mix", fields: ["thinning", "cut_lb_per_gal", "hardener_parts", "batches"] },
  { tab: "place", fields: ["role", "coats_a_day", "room", "dry_room", "tool", "own_minutes"] },
]

/** The pointer panel: what the selected step is, when, how thick, and why it takes as long as it does. */
export function Detail(props: DetailProps) {
  const { sheet, row, rooms, onEdit } = props
  const [tab, setTab] = useState("step")
  const [coats, setCoats] = useState<{ step: string; which: Coats }>({ step: "", which: "all" })
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
  const splits = (fields: StepSet) => done > 0 && done < (step.coats ?? 1) && Object.keys(fields).join() !== "coats"
  const choosable = row.status === "planned" && !row.inserted && (step.coats ?? 1) > 1 && done < row.coat
  const wanted = choosable && coats.step === step.id ? coats.which : "all"
  const set = (fields: StepSet) => {
    if (wanted !== "all" && !("coats" in fields)) props.onTry(step, row.coat, wanted, fields)
    else if (splits(fields)) props.onSplitAndSet(step, done, fields)
    else onEdit({ op: "change_step", id: step.id, set: fields })
  }
  const near = (fields: StepSet) => {
    if (wanted === "all" && !splits(fields)) props.onNear({ op: "change_step", id: step.id, set: fields })
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
    near,
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
      {props.pointer !== null && (
        <span
          className="detail-pointer"
          style={{ left: `clamp(12px, ${props.pointer}px, calc(100% - 12px))` }}
          aria-hidden="true"
        />
      )}
      <Tabs
        label={`Detail of ${row.words}`}
        tabs={tabs.filter((shown): shown is Tab => Boolean(shown))}
        tab={tab}
        onTab={setTab}
        head={
          <header className="detail-head">
            <h2 className="panel-title">{row.words}</h2>
            <p className="text-second truncate">{says(row, step, item, sheet.zone)}</p>
            {choosable && (
              <select
                className="detail-coats"
                aria-label="Changes apply to"
                value={wanted}
                onChange={(event) => setCoats({ step: step.id, which: event.target.value as Coats })}
              >
                <option value="all">all {step.coats} coats</option>
                <option value="this">this coat only</option>
                {row.coat > 1 && row.coat < (step.coats ?? 1) && <option value="later">this and later coats</option>}
              </select>
            )}
            {row.status === "planned" && row.hands_min > 0 && (
              <Link href={`/bench?pass=${encodeURIComponent(row.key)}`} className="detail-bench">
                At the bench
              </Link>
            )}
          </header>
        }
      />
    </section>
  )
}

/** Where the shop's own figures are reckoned with, by how much they differ. */
function ownSays({ hands, lands, rubs }: Row["own"]): string | null {
  const own = [hands && `hands × ${hands}`, lands && `lands × ${lands}`, rubs && `rubs off × ${rubs}`].filter(Boolean)
  return own.length > 0 ? `the shop's own: ${own.join(", ")}` : null
}

function says(row: Row, step: Step, item: ShelfItem | undefined, zone: string): string {
  const what = row.inserted
    ? ["inserted by the plan", when(row.work_start, zone)]
    : [item?.name, step.method && item ? METHODS[step.method] : null, row.pattern]
  const hands = row.hands_min > 0 ? `${duration(row.hands_min)} hands` : null
  return [...what, hands, ownSays(row.own)].filter(Boolean).join(", ")
}
