import { Head, Link } from "@inertiajs/react"
import { Shell } from "@/components/Shell"
import { duration } from "@/lib/time"
import { RecordHead } from "@/record/RecordHead"
import type { MoneyPage } from "@/types"

const HOURS = "/record/hours"

/** Hours and money of jobs: what was reckoned, what it took, what was given to the client, and what was thrown away. */
export default function Money({ jobs, phases, currency, waste }: MoneyPage) {
  const most = Math.max(1, ...jobs.flatMap((job) => [job.reckoned_min, job.real_min]))
  const share = (min: number) => `${(min / most) * 100}%`
  return (
    <Shell>
      <Head title="Hours and money" />
      <RecordHead
        here={HOURS}
        facts="What jobs were reckoned with and what they took, so that the next quote is right."
      />
      {jobs.length === 0 ? (
        <p className="text-head">No job has work yet: its hours stand here as soon as it is planned.</p>
      ) : (
        <div className="own-grid">
          <section aria-label="Jobs" className="ruled pt-2">
            <h2 className="text-head">Jobs</h2>
            <p className="text-second text-fine">
              The frame is what was reckoned, filled as far as it is done; the dark line what that took.
            </p>
            <table className="money-jobs">
              <thead>
                <tr>
                  <th scope="col">Job</th>
                  <th scope="col">Hands</th>
                  <th scope="col">Given, {currency}</th>
                  <th scope="col">Reckoned now</th>
                </tr>
              </thead>
              <tbody>
                {jobs.map((job) => (
                  <tr key={job.id}>
                    <th scope="row">
                      <Link href={`/pieces/${job.first_piece}/quote`} className="underline underline-offset-2">
                        {job.client}
                      </Link>
                      <span className="text-second text-fine block">
                        {job.pieces} {job.pieces === 1 ? "piece" : "pieces"}
                        {job.closed ? ", closed" : ""}
                      </span>
                    </th>
                    <td>
                      <span className="spent-planned" style={{ width: share(job.reckoned_min) }}>
                        <span
                          style={{ width: `${job.reckoned_min > 0 ? (job.done_min / job.reckoned_min) * 100 : 0}%` }}
                        />
                      </span>
                      <span className="spent-real" style={{ width: share(job.real_min) }} />
                      <span className="text-fine">
                        {duration(job.reckoned_min)}
                        {job.done_min > 0 && `; ${duration(job.done_min)} of it done, took ${duration(job.real_min)}`}
                      </span>
                    </td>
                    <td className="money-figure">{job.given === null ? "not kept" : job.given.toFixed(2)}</td>
                    <td className="money-figure">{job.price.toFixed(2)}</td>
                  </tr>
                ))}
              </tbody>
            </table>
          </section>
          <div className="own-side">
            <section aria-label="What the next quote should say" className="ruled pt-2">
              <h2 className="text-head">What the next quote should say</h2>
              <ul>
                {phases.map((phase) => (
                  <li key={phase.name}>
                    {phase.name}: took {duration(phase.real_min)} of {duration(phase.reckoned_min)} reckoned
                    {phase.known ? (
                      <b> · × {phase.factor.toFixed(2)}</b>
                    ) : (
                      <span className="text-fine"> · too little to tell</span>
                    )}
                  </li>
                ))}
              </ul>
              {phases.length === 0 && <p className="text-second">Nothing is done yet.</p>}
            </section>
            <section aria-label="Waste" className="ruled pt-2">
              <h2 className="text-head">Thrown away</h2>
              <p>
                {waste.g > 0
                  ? `${Math.round(waste.g)} g in ${waste.days} days, ${waste.cost.toFixed(2)} ${currency} at the cheapest pack.`
                  : `Nothing in ${waste.days} days.`}
              </p>
            </section>
          </div>
        </div>
      )}
    </Shell>
  )
}
