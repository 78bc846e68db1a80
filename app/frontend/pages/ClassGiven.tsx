import { Head, Link, usePage } from "@inertiajs/react"
import { useState } from "react"
import { ClassRows } from "@/class/ClassRows"
import { GiveForm } from "@/class/GiveForm"
import { Unassign } from "@/class/Unassign"
import { PageHead } from "@/components/PageHead"
import { Shell } from "@/components/Shell"
import { soon } from "@/lib/time"
import type { ClassPage } from "@/types"

/** A piece that is given to a class: who is where, what dries where, who is behind, and whether the racks hold it. */
export default function ClassGiven(first: ClassPage) {
  const [state, setState] = useState(first)
  const { url } = usePage()
  const { piece, places, racks, now, zone } = state
  const behind = places.filter((one) => one.behind > 0).length
  const ready = Math.max(...places.map((one) => one.ready_at ?? 0))
  return (
    <Shell>
      <Head title={`${piece.name}: the class`} />
      <PageHead
        title={`${piece.name}: the class`}
        facts={
          places.length === 0 ? (
            "Given to nobody yet: each gets a piece of their own with this schedule, which only their hands are planned for."
          ) : (
            <>
              {places.length} {places.length === 1 ? "person" : "people"}, {piece.count} each
              {behind > 0 ? `; ${behind} behind the middle` : "; nobody is behind"}
              {ready > 0 && `; the last is ready ${soon(ready, zone, now)}`}.{" "}
              <Link href={`/pieces/${piece.id}/schedule`} className="underline underline-offset-2">
                The schedule
              </Link>
            </>
          )
        }
      >
        <dl className="ui-summary">
          {racks.map((rack) => (
            <div key={rack.room} data-over={rack.most > rack.places || undefined}>
              <dt>{rack.room}, rack</dt>
              <dd>
                {rack.now} of {rack.places}
                <small className="text-second">
                  {" "}
                  · {rack.most} at most, {soon(rack.at, zone, now)}
                </small>
              </dd>
            </div>
          ))}
        </dl>
      </PageHead>
      <div className="class-grid">
        {places.length > 0 && <ClassRows state={state} />}
        <div>
          <GiveForm state={state} path={url} onGiven={setState} />
          <Unassign state={state} path={url} onChanged={setState} />
        </div>
      </div>
    </Shell>
  )
}
