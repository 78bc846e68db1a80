import { send } from "@/lib/api"
import { useAnswer } from "@/lib/requests"
import { useMeasures } from "@/lib/units"
import { MeasureField } from "./MeasureField"

type Props = { value: string; error?: string; onChange: (value: string) => void }

// A size is asked about once the hand rests.
const RESTS_MS = 250

/** The area of a face: a number, or a size off the rule with what it comes to beside it. */
export function AreaField({ value, error, onChange }: Props) {
  const { area } = useMeasures()
  const size = value.trim() !== "" && Number.isNaN(Number(value.replace(",", ".")))
  const { answer, error: refused } = useAnswer({
    key: ["size", value],
    ask: (signal) =>
      send<{ area_m2: number }>("GET", `/pieces/size?size=${encodeURIComponent(value)}`, undefined, signal),
    on: size,
    after: RESTS_MS,
    quiet: true,
  })
  return (
    <div>
      <MeasureField
        label="Area"
        placeholder="or 1600 x 750 mm"
        measure={area}
        value={value}
        error={error ?? refused?.sentence}
        onChange={onChange}
      />
      {size && answer && <p className="text-fine text-second">= {area.text(answer.area_m2, 2)}</p>}
    </div>
  )
}
