import { Link } from "@inertiajs/react"
import { mass, massParts, type System } from "@/lib/units"
import type { Pot } from "@/types"

/** All is in: to the shelf; then where it stands. */
export function Finished({
  pot,
  system,
  busy,
  onFinish,
}: {
  pot: Pot
  system: System
  busy: boolean
  onFinish: () => void
}) {
  if (pot.thrown_away)
    return (
      <>
        <p className="mix-what">Thrown away</p>
        <p className="text-second mb-4">What was poured is off the shelf.</p>
        <Link href="/mix" className="ui-button" data-size="bench">
          Back to the desk
        </Link>
      </>
    )
  if (pot.batch)
    return (
      <>
        <p className="mix-what">On the shelf as</p>
        <p className="mix-reading" data-state="inside">
          {pot.batch.code}
        </p>
        <p className="mix-target">
          <b>{mass(pot.batch.left_g, system, pot.resolution_g)}</b>
          <span className="text-second">left in it</span>
        </p>
        <div className="mix-actions">
          <Link href={`/batches/${pot.batch.id}`} className="ui-tape">
            Jar and label
          </Link>
          <Link href="/bench" className="ui-button" data-size="bench">
            To the bench
          </Link>
        </div>
      </>
    )
  return (
    <>
      <p className="mix-what">All is in</p>
      <p className="mix-reading" data-state="inside">
        {massParts(pot.poured_g, system, pot.resolution_g)[0]}
        <small>{massParts(pot.poured_g, system, pot.resolution_g)[1]}</small>
      </p>
      <p className="mix-say">
        {pot.steps.length ? "Stir and rest, then set it on the shelf." : "Set it on the shelf with its label."}
      </p>
      <div className="mix-actions">
        <button type="button" className="ui-tape" data-space disabled={busy} onClick={onFinish}>
          Mixed: to the shelf
          <span className="text-fine">space</span>
        </button>
      </div>
    </>
  )
}
