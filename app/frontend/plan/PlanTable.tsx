import { duration, when } from "@/lib/time"
import type { ShopPlan } from "@/types"

/** The shop plan as a table: the same content for reading, printing and copying. */
export function PlanTable({ plan, name }: { plan: ShopPlan; name: (id: string) => string }) {
  const marks = plan.strands
    .flatMap((strand) => strand.marks)
    .filter((mark) => mark.status !== "done")
    .sort((one, other) => one.from - other.from)
  return (
    <table className="sheet-table">
      <caption className="sr-only">All planned work in the order it is done</caption>
      <thead>
        <tr>
          <th scope="col">Starts</th>
          <th scope="col">Hands</th>
          <th scope="col">Who</th>
          <th scope="col">Piece</th>
          <th scope="col">Work</th>
          <th scope="col">Window below</th>
        </tr>
      </thead>
      <tbody>
        {marks.map((mark) => (
          <tr key={mark.key}>
            <td>{when(mark.from, plan.zone)}</td>
            <td>{duration(mark.to - mark.from)}</td>
            <td>{mark.person}</td>
            <td>{name(mark.piece)}</td>
            <td>{mark.words}</td>
            <td>{mark.window === "none" ? "" : mark.window.replace("_", " ")}</td>
          </tr>
        ))}
      </tbody>
    </table>
  )
}
