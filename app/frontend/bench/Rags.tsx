import { LevelMark } from "@/components/Marks"
import { soon } from "@/lib/time"
import type { BenchPage } from "@/types"
import type { Touch } from "./touch"

/** After so many minutes rags are not of today any more. */
const A_NIGHT = 12 * 60

type Props = { rags: BenchPage["rags"]; now: number; zone: string; onTouch: (touch: Touch) => void }

/** Rags that heat themselves: they hold the day open until somebody says that they are dealt with. */
export function Rags({ rags, now, zone, onTouch }: Props) {
  if (!rags) return null
  const late = now - rags.since > A_NIGHT
  return (
    <section className="rags ruled mt-3 pt-2" aria-label="Rags" data-late={late || undefined}>
      <div>
        <h2 className="text-head">
          <LevelMark level={late ? "stop" : "caution"} size={20} />
          {late ? "Rags were not dealt with" : "Rags hold the day open"}
        </h2>
        <p className="text-fine">
          Of {rags.names.join(", ")}, since {soon(rags.since, zone, now)}: flat outdoors on what does not burn, or under
          water in a closed metal can.
        </p>
      </div>
      <button type="button" className="ui-button" data-size="bench" onClick={() => onTouch({ kind: "rags" })}>
        Dealt with
      </button>
    </section>
  )
}
