import { router } from "@inertiajs/react"
import { Dialog } from "radix-ui"
import { useState } from "react"
import { SelectField, TextField } from "@/components/Field"
import { Panel } from "@/components/Panel"
import { PRIORITY } from "@/components/priority"
import { send as request } from "@/lib/api"
import { useSend } from "@/lib/requests"
import type { Piece } from "@/types"

export type JobFacts = {
  id: number
  client: string
  place: string | null
  air_there: string | null
  due_on: string | null
  priority: Piece["priority"]
}
type Change = Partial<Omit<JobFacts, "id">> & { closed?: boolean }

/** Changes a job and shows what the shop makes of it. */
export function useJob(id: number) {
  const { send, error, dismiss } = useSend()
  const change = (change: Change) =>
    send(
      () => request("PATCH", `/jobs/${id}`, change),
      () => router.reload(),
    )
  return { change, error, dismiss }
}

/** For whom a job is, where, by when; and closing it. */
export function JobPanel({ job }: { job: JobFacts }) {
  const [open, setOpen] = useState(false)
  const [client, setClient] = useState(job.client)
  const [place, setPlace] = useState(job.place ?? "")
  const [air, setAir] = useState(job.air_there ?? "")
  const [due, setDue] = useState(job.due_on ?? "")
  const [priority, setPriority] = useState(job.priority)
  const { change, error } = useJob(job.id)
  const keep = async (what: Change) => {
    if (await change(what)) setOpen(false)
  }
  const errorAt = (where: string) => (error?.where === where ? error.sentence : undefined)
  return (
    <Panel
      title={job.client}
      open={open}
      onOpenChange={setOpen}
      leave="Cancel"
      trigger={
        <Dialog.Trigger className="quiet-link target cursor-pointer" aria-label={`Change the job of ${job.client}`}>
          Change
        </Dialog.Trigger>
      }
      action={
        <button
          type="button"
          className="ui-tape"
          onClick={() => void keep({ client, place, air_there: air, due_on: due, priority })}
        >
          Keep the change
        </button>
      }
    >
      <div className="mt-4 grid gap-3">
        <TextField label="Client or job" value={client} onChange={setClient} error={errorAt("client")} />
        <TextField label="Place" value={place} onChange={setPlace} />
        <TextField
          label="Air there, °C and % RH (what its wood has to be dry for)"
          value={air}
          placeholder="20 °C 50 %"
          onChange={setAir}
          error={errorAt("air_there")}
        />
        <SelectField
          label="Priority"
          value={priority}
          onChange={(chosen) => setPriority(chosen as Piece["priority"])}
          options={PRIORITY}
          error={errorAt("priority")}
        />
        <TextField label="Due (may be left open)" type="date" value={due} onChange={setDue} error={errorAt("due")} />
        <div className="thin-rule pt-3">
          <button type="button" className="ui-button" onClick={() => void keep({ closed: true })}>
            Close the job
          </button>
          <p className="text-second text-fine mt-1">
            Its pieces leave the bench and the plan. The log stays, and goes on teaching the shop's drying times; it can
            be taken in hand again.
          </p>
        </div>
      </div>
    </Panel>
  )
}
