import type { BoardTrial } from "@/types"

type Found = BoardTrial["effects"][number]

/**
 * What each thing that was varied does to each measure: a bar with its interval on a line about nothing, and the
 * sentence.
 */
export function Effects({ trial }: { trial: BoardTrial }) {
  if (trial.effects.length === 0)
    return (
      <section className="ruled mt-4 pt-2" aria-label="Effects">
        <h2 className="text-head">What each thing does</h2>
        <p className="text-second">Read the same measure on two cells or more, and its effects stand here.</p>
      </section>
    )
  return (
    <section className="ruled mt-4 pt-2" aria-label="Effects">
      <h2 className="text-head">What each thing does</h2>
      {trial.effects.map((measured) => (
        <Measure key={measured.measure} measured={measured} />
      ))}
    </section>
  )
}

const WIDTH = 200

function Measure({ measured }: { measured: Found }) {
  const most = Math.max(
    0.1,
    ...measured.effects.flatMap((effect) => [effect.size, effect.low ?? 0, effect.high ?? 0].map(Math.abs)),
  )
  const told = measured.effects.filter((effect) => effect.told === "certain")
  const x = (value: number) => WIDTH / 2 + (value / most) * (WIDTH / 2 - 6)
  return (
    <div className="trial-effects">
      <h3 className="text-label">
        {measured.name}
        {measured.unit ? `, ${measured.unit}` : ""}
      </h3>
      <EffectList effects={told.length ? told : measured.effects} x={x} />
      {told.length > 0 && told.length < measured.effects.length && (
        <details>
          <summary className="text-second text-fine cursor-pointer">
            {measured.effects.length - told.length} more cannot be told from chance
          </summary>
          <EffectList effects={measured.effects.filter((effect) => effect.told !== "certain")} x={x} />
        </details>
      )}
      {measured.lost.map((sentence) => (
        <p key={sentence} className="text-second text-fine">
          {sentence}.
        </p>
      ))}
    </div>
  )
}

function EffectList({ effects, x }: { effects: Found["effects"]; x: (value: number) => number }) {
  return (
    <ul>
      {effects.map((effect) => (
        <li key={effect.words} data-told={effect.told}>
          <svg width={WIDTH} height="22" aria-hidden="true">
            <path d={`M${WIDTH / 2} 1v20`} stroke="var(--firm)" />
            <rect
              x={Math.min(x(0), x(effect.size))}
              y={6}
              width={Math.max(Math.abs(x(effect.size) - x(0)), 1)}
              height={10}
              fill={effect.told === "certain" ? "var(--ink)" : "none"}
              stroke="var(--ink)"
              strokeDasharray={effect.told === "certain" ? undefined : "3 2"}
            />
            {effect.low !== null && effect.high !== null && (
              <path
                d={`M${x(effect.low)} 11H${x(effect.high)}M${x(effect.low)} 5v12M${x(effect.high)} 5v12`}
                stroke="var(--tape-off)"
                strokeWidth={1.6}
                fill="none"
              />
            )}
          </svg>
          <span>{effect.words}</span>
        </li>
      ))}
    </ul>
  )
}
