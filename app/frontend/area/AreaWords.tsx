import { duration } from "@/lib/time"
import { useMeasures } from "@/lib/units"
import type { AreaAnswer } from "@/types"

/** The sections in words and as a table: when each is begun, its edge, what to stage for it. */
export function AreaWords({ answer, liquid }: { answer: AreaAnswer; liquid: (ml: number) => string }) {
  const { area } = useMeasures()
  return (
    <section aria-label="Sections" className="ruled pt-2">
      <h2 className="text-head">
        {answer.sections.length} {answer.sections.length === 1 ? "section" : "sections"}, edge at most{" "}
        {answer.limit_m.toFixed(1)} m
      </h2>
      <p className="text-second text-fine">
        Open time {Math.round(answer.open_min)} min in this air
        {answer.open_min < answer.sheet_open_min ? `, ${answer.sheet_open_min} on the sheet` : ""}. Cut in only as far
        ahead as stays wet. Still air until tack-free
        {answer.touch_min ? ` (${duration(answer.touch_min)})` : ""}, then air on
        {answer.recoat_min ? `; the next coat after ${duration(answer.recoat_min)}` : ""}.
      </p>
      {answer.cut_off.length > 0 && (
        <p className="error-text" role="alert">
          Part {answer.cut_off.map((index) => index + 1).join(", ")} cannot be left without walking over wet work: it
          touches no part that leads to the exit.
        </p>
      )}
      <table className="compare-table">
        <caption className="sr-only">Sections in the order they are laid on</caption>
        <thead>
          <tr>
            <th scope="col">Section</th>
            <th scope="col">after</th>
            <th scope="col">edge</th>
            <th scope="col">area</th>
            <th scope="col">stage</th>
          </tr>
        </thead>
        <tbody>
          {answer.sections.map((section) => (
            <tr key={section.number}>
              <th scope="row">{section.number}</th>
              <td>{duration(section.begins_min)}</td>
              <td>{section.live_edge_m.toFixed(1)} m</td>
              <td>{area.text(section.area_m2)}</td>
              <td>{liquid(section.ml)}</td>
            </tr>
          ))}
        </tbody>
      </table>
    </section>
  )
}
