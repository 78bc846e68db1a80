import type { Board, Cell } from "@/types"

const WIDTH = 720
const ROW = 62
const LEFT = 74

type Measure = { name: string; unit: string; of: (cell: Cell) => number | null; low: number; high: number; aim: [number, number] | null }

/** Each measure on one line, every cell on it by its label; the wanted range is the tape. */
export function CellsCompared({ board, selected, onSelect }: { board: Board; selected: number; onSelect: (id: number) => void }) {
  const measures: Measure[] = [
    { name: "ΔE", unit: "to the wanted colour", of: (cell) => cell.summary.delta_e, low: 0, high: 16, aim: [0, 2] },
    { name: "Gloss", unit: "GU 60°", of: (cell) => cell.summary.gloss, low: 0, high: 100, aim: board.sheen },
    { name: "Blotch", unit: "0 is even", of: (cell) => cell.summary.blotch, low: 0, high: 5, aim: null },
    { name: "Liking", unit: "of 5", of: (cell) => cell.summary.liking, low: 1, high: 5, aim: null },
  ]
  const sound = board.cells.filter((cell) => !cell.ruined && cell.role !== "bare")
  const row = ROW + Math.max(0, Math.min(sound.length - 6, 6)) * 6
  const shown = measures.filter((measure) => sound.some((cell) => measure.of(cell) !== null))
  if (!shown.length) return null
  return (
    <section aria-label="Cells compared" className="mt-4">
      <h2 className="head">Cells compared, mean of their readings</h2>
      <svg
        viewBox={`0 0 ${WIDTH} ${shown.length * row + 10}`}
        className="w-full"
        role="img"
        aria-label="Each measure with its cells; the same figures stand in the table of readings"
      >
        {shown.map((measure, index) => (
          <g key={measure.name} transform={`translate(0 ${index * row + row - 26})`}>
            <Line measure={measure} cells={sound} selected={selected} best={board.best} onSelect={onSelect} />
          </g>
        ))}
      </svg>
    </section>
  )
}

function Line({
  measure,
  cells,
  selected,
  best,
  onSelect,
}: {
  measure: Measure
  cells: Cell[]
  selected: number
  best: number | null
  onSelect: (id: number) => void
}) {
  const high = Math.max(measure.high, ...cells.map((cell) => measure.of(cell) ?? 0))
  const x = (value: number) => LEFT + 40 + ((value - measure.low) / (high - measure.low)) * (WIDTH - LEFT - 70)
  const seen = new Map<number, number>()
  return (
    <g>
      <text x={0} y={5} className="compare-name">
        {measure.name}
      </text>
      <text x={0} y={19} className="axis-tick" style={{ fontSize: 12 }}>
        {measure.unit}
      </text>
      {measure.aim && (
        <rect
          x={x(measure.aim[0])}
          y={-9}
          width={Math.max(x(measure.aim[1]) - x(measure.aim[0]), 3)}
          height={18}
          fill="url(#open)"
          stroke="#0a4e86"
        />
      )}
      <path d={`M${x(measure.low)} 0H${x(high)}`} stroke="var(--firm)" />
      {[measure.low, high].map((value) => (
        <text key={value} x={x(value)} y={24} textAnchor="middle" className="axis-tick">
          {Math.round(value)}
        </text>
      ))}
      {cells.map((cell) => {
        const value = measure.of(cell)
        if (value === null) return null
        const at = Math.round(x(value) / 16)
        const stack = seen.get(at) ?? 0
        seen.set(at, stack + 1)
        return (
          // biome-ignore lint/a11y/noStaticElementInteractions: the board above is the keyboard's way to a cell
          <g
            key={cell.id}
            transform={`translate(${x(value)} ${-stack * 14})`}
            onClick={() => onSelect(cell.id)}
            style={{ cursor: "pointer" }}
          >
            <circle
              r={9}
              fill={cell.summary.hex ?? "var(--lit)"}
              stroke={cell.id === best ? "var(--tape-off)" : "var(--ink)"}
              strokeWidth={cell.id === selected || cell.id === best ? 2.6 : 1}
            />
            <text y={4} textAnchor="middle" className="compare-dot">
              {cell.label}
            </text>
          </g>
        )
      })}
    </g>
  )
}
