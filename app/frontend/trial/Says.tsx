import { useShop } from "@/lib/shop"
import { duration, when } from "@/lib/time"
import { useMeasures } from "@/lib/units"
import type { TrialPreview } from "@/types"

/** What the trial takes, when it can be judged, and what it will not be able to tell. */
export function Says({ preview }: { preview: TrialPreview }) {
  const { area } = useMeasures()
  const { zone } = useShop()
  const runs = preview.cells.filter((cell) => cell.role === "run").length
  return (
    <div className="plan-grid">
      <section className="ruled pt-2" aria-label="What it takes">
        <h2 className="text-head">What it takes</h2>
        <dl className="trial-says">
          <dt>Cells</dt>
          <dd>
            {runs}, a bare and a base
            {preview.parts.length > 1
              ? `, over ${preview.parts.length} boards${preview.boards > 1 ? `, ${preview.boards} times` : ""}`
              : preview.boards > 1
                ? `, on each of ${preview.boards} boards`
                : ""}
          </dd>
          <dt>Timber</dt>
          <dd>{area.text(preview.timber_m2, 1)}</dd>
          {preview.amounts.map((amount) => (
            <div key={amount.product} className="contents">
              <dt>{amount.name}</dt>
              <dd>{amount.ml} ml</dd>
            </div>
          ))}
        </dl>
      </section>
      <section className="ruled pt-2" aria-label="When">
        <h2 className="text-head">When</h2>
        <dl className="trial-says">
          <dt>Hands</dt>
          <dd>
            {duration(preview.hands_min)} in {preview.passes} {preview.passes === 1 ? "pass" : "passes"}, tape moved{" "}
            {preview.mask_moves} times
          </dd>
          <dt>Done</dt>
          <dd>{preview.ready_at ? when(preview.ready_at, zone) : "no date"}</dd>
          <dt>Judged from</dt>
          <dd>{preview.judged_at ? `${when(preview.judged_at, zone)}: a look settles in a week` : "no date"}</dd>
        </dl>
      </section>
      <section className="ruled pt-2" aria-label="What it can tell">
        <h2 className="text-head">What it can tell</h2>
        <ul className="text-fine">
          {preview.boards === 1 && (
            <li>No replicate: an effect cannot be told from chance. A second board on other timber can.</li>
          )}
          {preview.resolution && <li>Resolution {preview.resolution}.</li>}
          {preview.efficiency !== null && (
            <li>As good as {Math.round(preview.efficiency * 100)} % of a perfectly balanced one.</li>
          )}
          {preview.parts.length > 1 && (
            <li>
              The cells are dealt so that each board has as many of each level; what its timber does is taken out.
            </li>
          )}
          {preview.confounded.map((sentence) => (
            <li key={sentence}>{sentence}.</li>
          ))}
          {preview.confounded.length === 0 && <li>Each thing by itself, and two together.</li>}
        </ul>
      </section>
    </div>
  )
}
