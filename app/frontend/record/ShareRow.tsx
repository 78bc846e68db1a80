import { scaleSqrt } from "d3-scale"
import type { RecursPage } from "@/types"

const WIDTH = 210
const TOLD: Record<string, string> = {
  more: "more than the other work",
  less: "less than the other work",
  alike: "",
  too_few: "too few to tell",
}

/** A share with where it may lie, on a scale that spreads what is rare. */
export function ShareRow({ share, told }: { share: RecursPage["whole"]; told?: boolean }) {
  const x = scaleSqrt([0, 1], [6, WIDTH - 6])
  return (
    <span className="share-row">
      <svg
        width={WIDTH}
        height={18}
        role="img"
        aria-label={`${share.faulty} of ${share.works}, ${percent(share.low)} to ${percent(share.high)}`}
      >
        <path d={`M6 9H${WIDTH - 6}`} stroke="var(--rule)" />
        <path d={`M${x(share.low)} 9H${x(share.high)}`} stroke="var(--layer-ink)" strokeWidth={3} />
        <circle
          cx={x(share.share)}
          cy={9}
          r={4.5}
          fill={share.told === "more" ? "var(--stop)" : "var(--lit)"}
          stroke="var(--ink)"
          strokeWidth={1.6}
        />
      </svg>
      <span>
        {share.faulty} of {share.works}
        {told && TOLD[share.told] && <b className="text-fine"> {TOLD[share.told]}</b>}
      </span>
    </span>
  )
}

const percent = (share: number) => `${Math.round(share * 100)} %`
