import { useEffect } from "react"
import { keptSetting } from "@/lib/kept"
import type { BenchRow } from "@/types"

/** Whether this device reads aloud what is next; off until somebody wants it. */
export const useVoice = keptSetting<"on" | "off">("rhexon.voice", (kept) => (kept === "on" ? "on" : "off"))

export const canSpeak = (): boolean => "speechSynthesis" in globalThis

/** Says it by the browser's own voice; what it was saying gives way. */
export function say(words: string): void {
  if (!canSpeak()) return
  speechSynthesis.cancel()
  speechSynthesis.speak(Object.assign(new SpeechSynthesisUtterance(words), { lang: "en" }))
}

/** "Next: coat 2 of 3, desk top, 3 off, in the spray room." */
export const says = (row: BenchRow, inHand: boolean, piece: string): string =>
  `${inHand ? "In hand" : "Next"}: ${row.words}, ${piece}${row.count > 1 ? `, ${row.count} off` : ""}, in the ${row.room}.`

/** Reads aloud what is next whenever that changes, where this device is asked to. */
export function useAloud(words: string): void {
  const [voice] = useVoice()
  useEffect(() => {
    if (voice === "on") say(words)
  }, [voice, words])
}
