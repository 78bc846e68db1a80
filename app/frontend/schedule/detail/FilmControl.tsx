import { useMeasures } from "@/lib/units"
import type { Row, ShelfItem, Step } from "@/types"
import { CombControl } from "./CombControl"

type Props = {
  row: Row
  step: Step
  item?: ShelfItem
  pending: (field: string) => boolean
  error: (field: string) => string | undefined
  onWet: (um: number) => void
}

/** Wet film by comb, by 5 µm or typed, with what it comes to. */
export function FilmControl({ row, step, item, pending, error, onWet }: Props) {
  const { film } = useMeasures()
  const wet = step.wet_um ?? 0
  const frozen = row.status !== "planned"
  const typed = (event: { currentTarget: HTMLInputElement }) => {
    const value = Number(event.currentTarget.value.replace(",", "."))
    if (Number.isFinite(value) && event.currentTarget.value !== film.number(wet))
      onWet(Math.round(film.stored(value) * 10) / 10)
  }
  return (
    <section aria-label="Wet film">
      <h3 className="text-head">
        Wet film <span className={pending("wet_um") ? "ui-pending" : ""}>{film.text(wet)}</span>
      </h3>
      <CombControl value={wet} onChange={onWet} pending={pending("wet_um")} disabled={frozen} />
      <dl className="film-figures">
        <div>
          <dt>stays, dry</dt>
          <dd>{row.change_um !== null ? film.text(row.change_um, 1) : "–"}</dd>
        </div>
        <div>
          <dt>to lay on</dt>
          <dd>{row.laid_on_ml !== null ? `${row.laid_on_ml} ml` : "–"}</dd>
        </div>
        <div>
          <dt>solids</dt>
          <dd>
            {item?.solids_volume_percent ?? "–"} %{item?.estimate && <small> est.</small>}
          </dd>
        </div>
      </dl>
      <div className="ui-stepper mt-2">
        <button
          type="button"
          className="ui-button"
          disabled={frozen}
          aria-label="Wet film: 5 µm less"
          onClick={() => onWet(Math.max(wet - 5, 5))}
        >
          −
        </button>
        <input
          key={film.text(wet)}
          className="ui-input"
          inputMode="decimal"
          aria-label={`Wet film, ${film.unit}`}
          defaultValue={film.number(wet)}
          disabled={frozen}
          onBlur={typed}
          onKeyDown={(event) => event.key === "Enter" && typed(event)}
        />
        <button
          type="button"
          className="ui-button"
          disabled={frozen}
          aria-label="Wet film: 5 µm more"
          onClick={() => onWet(Math.min(wet + 5, 500))}
        >
          +
        </button>
      </div>
      {error("wet_um") && (
        <p className="error-text" role="alert">
          {error("wet_um")}
        </p>
      )}
    </section>
  )
}
