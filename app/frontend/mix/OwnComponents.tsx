export type Own = { name: string; parts: string; basis: "volume" | "mass"; of: "base" | "total"; density: string }

const number = (text: string) => Number(text.replace(",", "."))

/** Components as the server reads them; what is left open is its default. */
export const ownToCore = (own: Own[]) =>
  own.map(({ name, parts, basis, of, density }) => ({
    name: name.trim(),
    parts: number(parts) || 0,
    basis,
    of,
    ...(density.trim() ? { density_g_per_ml: number(density) || 0 } : {}),
  }))

type Props = { own: Own[]; onChange: (own: Own[]) => void }

/** Ratio by hand: a share of the base or of the total, by volume or by mass. */
export function OwnComponents({ own, onChange }: Props) {
  const set = (index: number, fields: Partial<Own>) =>
    onChange(own.map((row, at) => (at === index ? { ...row, ...fields } : row)))
  return (
    <table className="sheet-table mt-3 own-table">
      <thead>
        <tr>
          <th>Component</th>
          <th>Share</th>
          <th>of</th>
          <th>by</th>
          <th>g/ml</th>
          <th>
            <span className="sr-only">Remove</span>
          </th>
        </tr>
      </thead>
      <tbody>
        {own.map((row, index) => (
          // biome-ignore lint/suspicious/noArrayIndexKey: rows are told apart by their place in the order of addition
          <tr key={index}>
            <td>
              <input
                className="ui-input"
                aria-label={`Component ${index + 1}`}
                value={row.name}
                onChange={(event) => set(index, { name: event.target.value })}
              />
            </td>
            <td>
              <input
                className="ui-input"
                aria-label={`Share of ${row.name}`}
                inputMode="decimal"
                value={row.parts}
                onChange={(event) => set(index, { parts: event.target.value })}
              />
            </td>
            <td>
              <select
                className="ui-input"
                aria-label={`${row.name} is a share of`}
                value={row.of}
                onChange={(event) => set(index, { of: event.target.value as Own["of"] })}
              >
                <option value="base">base</option>
                <option value="total">total</option>
              </select>
            </td>
            <td>
              <select
                className="ui-input"
                aria-label={`${row.name} is measured by`}
                value={row.basis}
                onChange={(event) => set(index, { basis: event.target.value as Own["basis"] })}
              >
                <option value="volume">volume</option>
                <option value="mass">mass</option>
              </select>
            </td>
            <td>
              <input
                className="ui-input"
                aria-label={`Density of ${row.name}, g/ml`}
                inputMode="decimal"
                placeholder="est."
                value={row.density}
                onChange={(event) => set(index, { density: event.target.value })}
              />
            </td>
            <td>
              <button
                type="button"
                className="ui-button"
                data-size="square"
                aria-label={`Remove ${row.name}`}
                disabled={own.length < 2}
                onClick={() => onChange(own.filter((_, at) => at !== index))}
              >
                −
              </button>
            </td>
          </tr>
        ))}
      </tbody>
      <tfoot>
        <tr>
          <td colSpan={6}>
            <button
              type="button"
              className="ui-button"
              disabled={own.length >= 12}
              onClick={() =>
                onChange([
                  ...own,
                  { name: `part ${own.length + 1}`, parts: "10", basis: "volume", of: "base", density: "" },
                ])
              }
            >
              One more
            </button>
          </td>
        </tr>
      </tfoot>
    </table>
  )
}
