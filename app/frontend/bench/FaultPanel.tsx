import { Dialog } from "radix-ui"
import { useState } from "react"
import { ErrorText } from "@/components/ErrorText"
import { SelectField, Stepper } from "@/components/Field"
import { Panel } from "@/components/Panel"
import { send } from "@/lib/api"
import { useAnswer } from "@/lib/requests"
import { duration, when } from "@/lib/time"
import { type Measure, useMeasures } from "@/lib/units"
import { PhotoButton } from "@/photo/PhotoButton"
import type { BenchRow, Fault, MendingWay, Patch } from "@/types"
import { FaultCauses, type Found, NOTHING } from "./FaultCauses"
import { PatchDrawing } from "./PatchDrawing"
import type { Touch } from "./touch"
import { lowerFirst } from "./words"

const SPOT_MM = 20

type Props = { row: BenchRow; piece: string; zone: string; onTouch: (touch: Touch) => void }

/**
 * Something is wrong with a coat: what it looks like, why it likely came, and the ways to mend it with the date each
 * leads to.
 */
export function FaultPanel({ row, piece, zone, onTouch }: Props) {
  const { film } = useMeasures()
  const [open, setOpen] = useState(false)
  const [chosen, setChosen] = useState("")
  const known = useAnswer({
    key: ["faults"],
    ask: (signal) => send<{ faults: Fault[] }>("GET", "/faults", undefined, signal),
    on: open,
    keep: true,
  })
  const mending = useAnswer({
    key: ["faults", chosen, row.key],
    ask: (signal) =>
      send<{ ways: MendingWay[] }>("GET", `/faults/${chosen}?pass=${encodeURIComponent(row.key)}`, undefined, signal),
    on: chosen !== "",
  })
  const faults = (known.answer?.faults ?? []).filter(
    ({ by }) => by === null || row.method === null || by.includes(row.method),
  )
  const ways = mending.answer?.ways
  const error = known.error ?? mending.error
  const fault = faults.find((candidate) => candidate.id === chosen)
  const [found, setFound] = useState<Found>(NOTHING)
  const [photos, setPhotos] = useState(0)
  const log = (mending: string) => {
    onTouch({ kind: "fault", pass: row.key, fault: chosen, mending, ...found })
    setOpen(false)
    setChosen("")
    setFound(NOTHING)
  }
  const choose = (id: string) => {
    setChosen(id)
    setPhotos(0)
    setFound(NOTHING)
  }
  return (
    <Panel
      title={`What is wrong with ${piece}, ${lowerFirst(row.words)}`}
      open={open}
      onOpenChange={setOpen}
      leave="Cancel"
      trigger={
        <Dialog.Trigger asChild>
          <button type="button" className="ui-button slab-fault" data-quiet aria-label={`A fault on ${piece}`}>
            Fault
          </button>
        </Dialog.Trigger>
      }
    >
      <div className="mt-3">
        <SelectField
          label="It shows"
          value={chosen}
          options={[
            ["", "choose what it looks like"],
            ...faults.map((fault): [string, string] => [fault.id, `${fault.name}: ${fault.looks.toLowerCase()}`]),
          ]}
          onChange={choose}
        />
      </div>
      {fault && <FaultCauses key={fault.id} fault={fault} pass={row.key} found={found} onFound={setFound} />}
      <ErrorText reason={error} />
      {fault && (
        <div className="fault-photo">
          <PhotoButton of={{ pass: row.key }} label="Photo of it" size="bench" onPhoto={() => setPhotos(photos + 1)} />
          <span role="status" className="text-second">
            {photos > 0 && (photos === 1 ? "Photo kept in the log" : `${photos} photos kept in the log`)}
          </span>
        </div>
      )}
      {fault && row.kind !== "stain" && (
        <InASpot pass={row.key} onSize={(size_mm) => setFound((before) => ({ ...before, size_mm }))} />
      )}
      {fault && (
        <ul className="fault-mending" aria-live="polite">
          {!ways && !error && <li className="text-second">planning</li>}
          {ways?.map((way) => (
            <li key={way.id}>
              <button type="button" className="ui-button" data-size="bench" onClick={() => log(way.id)}>
                <b>{way.label}</b>
                <span className="text-second text-fine block">{says(way, zone, film)}</span>
              </button>
            </li>
          ))}
          {(ways || error) && (
            <li>
              <button type="button" className="ui-button" data-size="bench" onClick={() => log("leave")}>
                <b>Leave as is</b>
                <span className="text-second text-fine block">It goes into the log; the schedule stays.</span>
              </button>
            </li>
          )}
        </ul>
      )}
    </Panel>
  )
}

/** If the spot alone were cut out and patched: how far that goes, and what stays to be seen. */
function InASpot({ pass, onSize }: { pass: string; onSize: (mm: number) => void }) {
  const [mm, setMm] = useState(SPOT_MM)
  const { answer, error } = useAnswer({
    key: ["patch", pass, mm],
    ask: (signal) => send<Patch>("GET", `/patch?pass=${encodeURIComponent(pass)}&mm=${mm}`, undefined, signal),
    keep: true,
  })
  return (
    <section className="in-a-spot" aria-label="If the spot alone were patched">
      <Stepper
        label="Spot, across"
        unit="mm"
        value={mm}
        by={5}
        least={1}
        most={2000}
        onChange={(next) => {
          setMm(next)
          onSize(next)
        }}
      />
      {answer && (
        <div>
          <PatchDrawing patch={answer} />
          <p className="text-second">{answer.words}</p>
        </div>
      )}
      <ErrorText reason={error} />
    </section>
  )
}

const says = (way: MendingWay, zone: string, film: Measure) =>
  [
    way.ready_at ? `ready ${when(way.ready_at, zone)}` : "no date",
    way.later_min
      ? way.later_min > 0
        ? `${duration(way.later_min)} later`
        : `${duration(-way.later_min)} sooner`
      : "the date stays",
    way.hands_min === 0 ? "" : `${duration(Math.abs(way.hands_min))} of hands ${way.hands_min > 0 ? "more" : "less"}`,
    `${film.text(way.film_um)} in the end`,
  ]
    .filter(Boolean)
    .join(", ")
