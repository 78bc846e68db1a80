import type { Board, Cell } from "@/types"

const WIDTH = 720
const LEFT = 74
const DOT = 14

type Measure = {
  name: string
  unit: string
  of: (cell: Cell) => number | null
  low: number
  high: number
  aim: [number, number] | null
}

/** Each measure on one line, every cell on it by its label; the wanted range is the tape. */
export function CellsCompared({
  board,
  selected,
  onSelect,
}: {
  board: Board
  selected: number
  onSelect: (id: number) => void
}) {
  const measures: Measure[] = [
    { name: "ΔE", unit: "to the wanted colour", of: (cell) => cell.summary.delta_e, low: 0, high: 16, aim: [0, 2] },
    { name: "Gloss", unit: "GU 60°", of: (cell) => cell.summary.gloss, low: 0, high: 100, aim: board.sheen },
    { name: "Blotch", unit: "0 is even", of: (cell) => cell.summary.blotch, low: 0, high: 5, aim: null },
    { name: "Liking", unit: "of 5", of: (cell) => cell.summary.liking, low: 1, high: 5, aim: null },
  ]
  const sound = board.cells.filter((cell) => !cell.ruined && cell.role !== "bare")
  const lines = measures
    .filter((measure) => sound.some((cell) => measure.of(cell) !== null))
    .map((measure) => laid(measure, sound))
  if (!lines.length) return null
  const tops = lines.map((_, index) => lines.slice(0, index).reduce((sum, line) => sum + line.height, 0))
  return (
    <section aria-label="Cells compared" className="mt-4">
      <h2 className="text-head">Cells compared, mean of their readings</h2>
      <svg
        viewBox={`0 0 ${WIDTH} ${lines.reduce((sum, line) => sum + line.height, 0)}`}
        className="w-full"
        role="img"
        aria-label="Each measure with its cells; the same figures stand in the table of readings"
      >
        {lines.map((line, index) => (
          <g key={line.measure.name} transform={`translate(0 ${(tops[index] ?? 0) + line.height - 30})`}>
            <Line {...line} selected={selected} best={board.best} onSelect={onSelect} />
          </g>
        ))}
      </svg>
    </section>
  )
}

type Laid = {
  measure: Measure
  high: number
  x: (value: number) => number
  dots: { cell: Cell; value: number; stack: number }[]
  height: number
}

/**
 * Where the cells of one measure stand: as near to their value as they can, above each other where they would cover one
 * another.
 */
function laid(measure: Measure, cells: Cell[]): Laid {
  const values = cells.map((cell) => measure.of(cell)).filter((value): value is number => value !== null)
  const most = Math.max(...values, measure.aim?.[1] ?? 0)
  const high = measure.high > 5 ? Math.max(Math.ceil((most * 1.15) / 5) * 5, 5) : measure.high
  const x = (value: number) => LEFT + 40 + ((value - measure.low) / (high - measure.low)) * (WIDTH - LEFT - 70)
  const dots: Laid["dots"] = []
  for (const cell of cells) {
    const value = measure.of(cell)
    if (value === null) continue
    const near = dots.filter((dot) => Math.abs(x(dot.value) - x(value)) < DOT + 4).map((dot) => dot.stack)
    let stack = 0
    while (near.includes(stack)) stack += 1
    dots.push({ cell, value, stack })
  }
  return { measure, high, x, dots, height: 58 + Math.max(0, ...dots.map((dot) => dot.stack)) * DOT }
}

type LineProps = Laid & { selected: number; best: number | null; onSelect: (id: number) => void }

function Line({ measure, high, x, dots, selected, best, onSelect }: LineProps) {
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
          stroke="var(--tape-ink)"
        />
      )}
      <path d={`M${x(measure.low)} 0H${x(high)}`} stroke="var(--firm)" />
      {[measure.low, high].map((value) => (
        <text key={value} x={x(value)} y={24} textAnchor="middle" className="axis-tick">
          {Math.round(value)}
        </text>
      ))}
      {dots.map(({ cell, value, stack }) => (
        // biome-ignore lint/a11y/noStaticElementInteractions: the board above is the keyboard's way to a cell
        <g
          key={cell.id}
          transform={`translate(${x(value)} ${-stack * DOT})`}
          onClick={() => onSelect(cell.id)}
          className="cursor-pointer"
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
      ))}
    </g>
  )
}
