import { router } from "@inertiajs/react"
import { useState } from "react"
import { SelectField, TextField } from "@/components/Field"
import { Panel } from "@/components/Panel"
import { send as request } from "@/lib/api"
import { useSend } from "@/lib/requests"
import { discardUnsaved } from "@/lib/unsaved"
import { useFields } from "@/lib/useFields"
import type { AreaPage } from "@/types"
import type { AreaFields } from "./fields"

type Props = { fields: AreaFields; piece: AreaPage["piece"]; choices: AreaPage["choices"]; ready: boolean }

const URL = "/pieces/area/piece"
const NEW_JOB = ""

/** The sketch becomes a piece with a first schedule, or is kept with the piece it was opened for. */
export function KeepSketch({ fields, piece, choices, ready }: Props) {
  const { send, error, busy } = useSend()
  if (!piece) return <NewFloor {...{ fields, choices, ready }} />
  const keep = () =>
    send(
      () => request<{ location: string }>("PATCH", URL, { fields, piece_id: piece.id }),
      ({ location }) => {
        discardUnsaved()
        router.visit(location)
      },
    )
  return (
    <>
      <button type="button" className="ui-tape" data-size="small" disabled={!ready || busy} onClick={() => void keep()}>
        Keep it with {piece.name}
      </button>
      {error && (
        <p className="error-text" role="alert">
          {error.sentence}
        </p>
      )}
    </>
  )
}

function NewFloor({ fields, choices, ready }: Omit<Props, "piece">) {
  const [open, setOpen] = useState(false)
  const { send, error, busy } = useSend()
  const [named, set] = useFields(() => ({
    name: "Floor",
    wood: "oak",
    job: String(choices.jobs[0]?.id ?? NEW_JOB),
    client: "",
  }))
  const errorAt = (where: string) => (error?.where === where ? error.sentence : undefined)
  const make = () =>
    send(
      () =>
        request<{ location: string }>("POST", URL, {
          fields,
          name: named.name,
          wood: named.wood,
          job_id: named.job || null,
          client: named.client,
        }),
      ({ location }) => {
        discardUnsaved()
        router.visit(location)
      },
    )
  return (
    <>
      <button type="button" className="ui-tape" data-size="small" disabled={!ready} onClick={() => setOpen(true)}>
        Make a piece of it
      </button>
      <Panel
        title="A floor to plan"
        open={open}
        onOpenChange={setOpen}
        leave="Cancel"
        action={
          <button type="button" className="ui-tape" disabled={busy} onClick={() => void make()}>
            Keep it and go to its schedule
          </button>
        }
      >
        <p className="text-second mt-2">
          It begins with sanding by machine from P80 to P120, the dust off, and the coats that are chosen here. All of
          it can be changed there.
        </p>
        <div className="mt-3 grid gap-3">
          <TextField label="Name" value={named.name} onChange={(name) => set({ name })} error={errorAt("name")} />
          <TextField
            label="Wood"
            value={named.wood}
            onChange={(wood) => set({ wood })}
            error={errorAt("wood")}
            list={choices.woods}
          />
          <SelectField
            label="Job"
            value={named.job}
            onChange={(job) => set({ job })}
            options={[
              ...choices.jobs.map((job): [string, string] => [String(job.id), job.client]),
              [NEW_JOB, "a new job"],
            ]}
          />
          {named.job === NEW_JOB && (
            <TextField
              label="Client or job"
              value={named.client}
              onChange={(client) => set({ client })}
              error={errorAt("client")}
            />
          )}
          {error && !["name", "wood", "client"].includes(error.where) && (
            <p className="error-text" role="alert">
              {error.sentence}
            </p>
          )}
        </div>
      </Panel>
    </>
  )
}
