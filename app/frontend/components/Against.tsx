import type { Against as Said } from "@/types"
import { LevelMark } from "./Marks"

/** What stands against the work at hand, where it is about to be done. */
export function Against({ said }: { said: Said[] }) {
  if (said.length === 0) return null
  return (
    <section aria-label="What stands against it" className="against">
      {said.map((one) => (
        <div key={`${one.title}${one.sentence}`} className="against-line" data-level={one.level}>
          <LevelMark level={one.level} />
          <p>
            <b>{one.title}.</b> {one.sentence}
          </p>
        </div>
      ))}
    </section>
  )
}
