import { router } from "@inertiajs/react"
import { keptSetting } from "@/lib/kept"
import { type Call, TimersPanel } from "@/timers/TimersPanel"
import { canSpeak, useVoice } from "@/timers/voice"

/** Whether this device shows the bench to be read at two metres. */
export const useLarge = keptSetting<"on" | "off">("rhexon.bench.large", (kept) => (kept === "on" ? "on" : "off"))

type Props = {
  calls: Call[]
  now: number
  zone: string
  /** Whose bench is shown; null: everybody's. */
  hands: string | null
  everybody: string[]
}

const YEAR_S = 365 * 86_400

/** The server shows the bench of whoever this device belongs to; a page of its own for each would not be kept. */
function showBenchOf(name: string): void {
  // biome-ignore lint/suspicious/noDocumentCookie: the store of cookies is not there without TLS
  document.cookie = `rhexon_hands=${encodeURIComponent(name)}; path=/; max-age=${name ? YEAR_S : 0}; samesite=lax`
  router.reload()
}

/** How the bench is shown and called out on this device: large, aloud, with timers. */
export function BenchTools({ calls, now, zone, hands, everybody }: Props) {
  const [large, setLarge] = useLarge()
  const [voice, setVoice] = useVoice()
  return (
    <div className="bench-tools">
      {everybody.length > 1 && (
        <select
          className="ui-input bench-whose"
          aria-label="Whose bench"
          value={hands ?? ""}
          onChange={(event) => showBenchOf(event.target.value)}
        >
          <option value="">everybody's</option>
          {everybody.map((name) => (
            <option key={name} value={name}>
              {name}
            </option>
          ))}
        </select>
      )}
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
