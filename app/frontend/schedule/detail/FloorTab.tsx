import { Link } from "@inertiajs/react"
import { Exit, FloorPart, SectionsLayer } from "@/area/SectionsLayer"
import { when } from "@/lib/time"
import { useUnits, volume } from "@/lib/units"
import type { Floor, Row } from "@/types"

const WIDE = 420
const HIGH = 220
const EDGE = 8
/** Left for the word beside the exit. */
const WORD = 46

/** A coat of a floor: its sections in their turn, the cans they are laid on from, and when air may move again. */
export function FloorTab({ floor, row, piece, zone }: { floor: Floor; row: Row; piece: number; zone: string }) {
  const [system] = useUnits()
  return (
    <div className="detail-floor">
      <Plan floor={floor} />
      <div>
        <h3 className="text-head">
          {floor.sections.length} {floor.sections.length === 1 ? "section" : "sections"}, {volume(floor.ml, system)}
        </h3>
        <p className="text-second">
          An edge stays wet for {floor.limit_m.toFixed(1)} m. The last section ends at the exit.
        </p>
        {floor.cans.length > 0 && (
          <ul className="mt-2" aria-label="Cans">
            {floor.cans.map((can) => (
              <li key={can.number} className="flex justify-between gap-3 thin-rule">
                <span>
                  can {can.number}, {volume(can.ml, system)}
                </span>
                <span>{sections(can.sections)}</span>
              </li>
            ))}
          </ul>
        )}
        <p className="text-second mt-2">
          Stage each section's can before it is begun, and box them for one sheen.{" "}
          {row.air_on_at !== null &&
            `No air over it until ${when(row.air_on_at, zone)}, when it is tack-free; then air on.`}
        </p>
        <p className="mt-2">
          <Link href={`/pieces/area?piece=${piece}`} className="quiet-link">
            Change the sketch
          </Link>
        </p>
      </div>
    </div>
  )
}

/** "section 3", "sections 1 and 2", "sections 1 to 4" */
function sections(numbers: number[]): string {
  const [first, last] = [numbers[0], numbers.at(-1)]
  if (first === last) return `section ${first}`
  return `sections ${first} ${numbers.length === 2 ? "and" : "to"} ${last}`
}

function Plan({ floor }: { floor: Floor }) {
  const right = Math.max(floor.exit[0], ...floor.parts.map((part) => part[0] + part[2]))
  const low = Math.max(floor.exit[1], ...floor.parts.map((part) => part[1] + part[3]))
  const scale = Math.min((WIDE - 2 * EDGE - WORD) / right, (HIGH - 2 * EDGE) / low)
  const px = (metres: number) => EDGE + metres * scale
  return (
    <svg
      viewBox={`0 0 ${WIDE} ${low * scale + 2 * EDGE}`}
      className="area-sketch floor-plan"
      role="img"
      aria-label={`Laid on in ${floor.sections.length} sections, the last at the exit`}
    >
      {floor.parts.map((part) => (
        <FloorPart key={part.join(" ")} part={part} {...{ px, scale }} />
      ))}
      <SectionsLayer sections={floor.sections} strip={floor.strip_m} {...{ px, scale }} />
      <Exit at={floor.exit} px={px} />
    </svg>
  )
}
