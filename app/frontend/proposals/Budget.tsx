import { useState } from "react"
import { TextField } from "@/components/Field"
import { useLater } from "@/lib/useLater"
import type { Wish } from "@/types"

/** So long the hand rests before it is asked. */
const QUIET_MS = 400

type Props = { budget: number | null; currency: string; onWish: (change: Partial<Wish>) => void }

/** The most that material may cost; blank: whatever it costs. */
export function Budget({ budget, currency, onWish }: Props) {
  const [typed, setTyped] = useState(budget === null ? "" : String(budget))
  const later = useLater(QUIET_MS)
  const sound = typed.trim() === "" || Number(typed.replace(",", ".")) > 0
  return (
    <TextField
      label={`Material, at most, ${currency}`}
      value={typed}
      placeholder="whatever it costs"
      error={sound ? undefined : "More than 0, or nothing."}
      onChange={(text) => {
        setTyped(text)
        const money = Number(text.replace(",", "."))
        later(() => {
          if (text.trim() === "") onWish({ budget: null })
          else if (money > 0) onWish({ budget: money })
        })
      }}
    />
  )
}
