import { duration, when } from "@/lib/time"
import { useMeasures } from "@/lib/units"
import type { Sheet } from "@/types"

/** The same content as the drawing, as a table: for screen readers, print and copying. */
export function SheetTable({ sheet }: { sheet: Sheet }) {
  const { film } = useMeasures()
  return (
    <table className="sheet-table">
      <caption className="sr-only">Plan of the schedule, film on {sheet.section.face}</caption>
      <thead>
        <tr>
          <th>No.</th>
          <th>Step</th>
          <th>Starts</th>
          <th>Hands</th>
          <th>Window below</th>
          <th>Film change, {film.unit}</th>
          <th>Film after, {film.unit}</th>
          <th>Then waits</th>
        </tr>
      </thead>
      <tbody>
        {sheet.rows.map((row) => (
          <tr key={row.key}>
            <td>{row.inserted ? "+" : row.number}</td>
            <td>{row.words}</td>
            <td className="whitespace-nowrap">{when(row.work_start, sheet.zone)}</td>
            <td className="whitespace-nowrap">{row.hands_min ? duration(row.hands_min) : ""}</td>
            <td>
              {row.window_opens_at !== null
                ? `${when(row.window_opens_at, sheet.zone)} to ${row.window_closes_at ? when(row.window_closes_at, sheet.zone) : "never shuts"}: ${row.window_state.replaceAll("_", " ")}`
                : ""}
            </td>
            <td>{row.change_um ? film.number(row.change_um, 1) : ""}</td>
            <td>{row.film_um !== null ? film.number(row.film_um, 1) : ""}</td>
            <td>
              {row.drying
                ? `${row.drying.words} ${when(row.drying.reached_at, sheet.zone)} (${duration(row.drying.minutes)})`
                : ""}
            </td>
          </tr>
        ))}
      </tbody>
    </table>
  )
}
