import { useNear } from "@/components/near"
import { asTyped, figure } from "@/lib/typed"
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
  /** A thickness that a hand is about to set. */
  near?: (um: number) => void
}

const BY_UM = 5
const LEAST_UM = 5
const MOST_UM = 500
const next = (from: number, way: -1 | 1) => Math.min(Math.max(from + way * BY_UM, LEAST_UM), MOST_UM)

/** Wet film by comb, by 5 µm or typed, with what it comes to. */
export function FilmControl({ row, step, item, pending, error, onWet, near }: Props) {
  const { film } = useMeasures()
  const wet = step.wet_um ?? 0
  const leans = useNear(wet, next, near)
  const frozen = row.status !== "planned"
  const read = (field: HTMLInputElement): number | null => {
    const value = figure(field.value)
    if (value === null || field.value === film.number(wet)) return null
    return Math.round(film.stored(value) * 10) / 10
  }
  const typed = (event: { currentTarget: HTMLInputElement }) => {
    const field = event.currentTarget
    const um = read(field)
    if (um !== null) onWet(um)
    else if (field.value.trim() === "") field.value = film.number(wet)
    else if (field.value !== film.number(wet)) onWet(asTyped(field.value))
  }
  return (
    <section aria-label="Wet film">
      <h3 className="text-head">
        Wet film <span className={pending("wet_um") ? "ui-pending" : ""}>{film.text(wet)}</span>
      </h3>
      <CombControl value={wet} onChange={onWet} near={near} pending={pending("wet_um")} disabled={frozen} />
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
          onClick={() => onWet(next(wet, -1))}
          {...leans.button(-1)}
        >
          −
        </button>
        <input
          key={film.text(wet)}
          className="ui-input"
          aria-label={`Wet film, ${film.unit}`}
          defaultValue={film.number(wet)}
          disabled={frozen}
          onInput={(event) => {
            const um = read(event.currentTarget)
            if (um) leans.typed(um)
          }}
          onBlur={typed}
          onKeyDown={(event) => event.key === "Enter" && typed(event)}
        />
        <button
          type="button"
          className="ui-button"
          disabled={frozen}
          aria-label="Wet film: 5 µm more"
          onClick={() => onWet(next(wet, 1))}
          {...leans.button(1)}
        >
          +
        </button>
      </div>
      <p className="text-second text-fine mt-1">Or type 4 mil, 120 g/m², 9 m²/L, 360 ft²/gal</p>
      {error("wet_um") && (
        <p className="error-text" role="alert">
          {error("wet_um")}
        </p>
      )}
    </section>
  )
}
