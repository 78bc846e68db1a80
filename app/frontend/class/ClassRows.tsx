import { Link } from "@inertiajs/react"
import { soon } from "@/lib/time"
import type { ClassPage } from "@/types"

const STATES: Record<string, string> = { done: "done", running: "in hand", planned: "to come" }

/**
 * The class as rows of the same work: each pass a cell that fills when it is done. Who is furthest stands first, so that
 * the edge of what is done is the shape of the class.
 */
export function ClassRows({ state: { places, steps, now, zone } }: { state: ClassPage }) {
  return (
    <table className="class-rows">
      <thead>
        <tr>
          <th scope="col">Who</th>
          <th scope="col">
            {steps.length} passes: {steps[0]} to {steps.at(-1)?.replace(/^./, (letter) => letter.toLowerCase())}
          </th>
          <th scope="col">Now or next</th>
          <th scope="col">Dries</th>
          <th scope="col">Ready</th>
        </tr>
      </thead>
      <tbody>
        {places.map((one) => (
          <tr key={one.id} data-behind={one.behind > 0 || undefined}>
            <th scope="row">
              <Link href={`/pieces/${one.id}/schedule`} className="underline underline-offset-2">
                {one.person}
              </Link>
            </th>
            <td>
              <span className="class-cells" role="img" aria-label={`${one.done} of ${one.states.length} passes done`}>
                {one.states.map((status, index) => (
                  // biome-ignore lint/suspicious/noArrayIndexKey: a pass is its place in the schedule
                  <i key={index} data-state={status} title={`${steps[index] ?? ""}: ${STATES[status] ?? status}`} />
                ))}
              </span>
            </td>
            <td>
              {one.words === null
                ? "all done"
                : `${one.words}, ${one.status === "running" ? "in hand since" : "from"} ${one.at === null ? "" : soon(one.at, zone, now)}`}
              {one.behind > 0 && (
                <b className="caution-text">
                  {" "}
                  {one.behind} {one.behind === 1 ? "pass" : "passes"} behind
                </b>
              )}
            </td>
            <td>{one.dries ? `${one.dries.room}, to ${soon(one.dries.until, zone, now)}` : ""}</td>
            <td>{one.ready_at === null ? "no date" : soon(one.ready_at, zone, now)}</td>
          </tr>
        ))}
      </tbody>
    </table>
  )
}
