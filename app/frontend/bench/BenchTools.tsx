import { keptSetting } from "@/lib/kept"
import { type Call, TimersPanel } from "@/timers/TimersPanel"
import { canSpeak, useVoice } from "@/timers/voice"
import { WhoseHands } from "./WhoseHands"

/** Whether this device shows the bench to be read at two metres. */
export const useLarge = keptSetting<"on" | "off">("rhexon.bench.large", (kept) => (kept === "on" ? "on" : "off"))

type Props = {
  calls: Call[]
  now: number
  zone: string
  /** Whose bench is shown; null: everybody's. */
  hands: string | null
  everybody: string[]
  codes: string[]
}

/** How the bench is shown and called out on this device: large, aloud, with timers. */
export function BenchTools({ calls, now, zone, hands, everybody, codes }: Props) {
  const [large, setLarge] = useLarge()
  const [voice, setVoice] = useVoice()
  return (
    <div className="bench-tools">
      {everybody.length > 1 && <WhoseHands {...{ hands, everybody, codes }} />}
      <button
        type="button"
        className="ui-button"
        data-size="bench"
        data-quiet
        aria-pressed={large === "on"}
        onClick={() => setLarge(large === "on" ? "off" : "on")}
      >
        {large === "on" ? "All of the bench" : "Large"}
      </button>
      {canSpeak() && (
        <button
          type="button"
          className="ui-button"
          data-size="bench"
          data-quiet
          aria-pressed={voice === "on"}
          onClick={() => setVoice(voice === "on" ? "off" : "on")}
        >
          {voice === "on" ? "Silent" : "Aloud"}
        </button>
      )}
      <TimersPanel calls={calls} now={now} zone={zone} />
    </div>
  )
}
