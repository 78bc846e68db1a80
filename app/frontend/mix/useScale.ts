import { useCallback, useEffect, useRef, useState } from "react"
import { Refused, send } from "@/lib/api"

export type Reading = { grams: number; stable: boolean } | { silent: string }
export type Scale = { name: string; resolution_g: number; stand_in: boolean }

const EVERY_MS = 220

/** The bench scale, read as long as the page is in sight. One request at a time; a scale or a shop computer that is silent says so. */
export function useScale(on: boolean) {
  const [reading, setReading] = useState<Reading | null>(null)
  const busy = useRef(false)

  const read = useCallback(async () => {
    if (busy.current || document.hidden) return
    busy.current = true
    try {
      setReading(await send<Reading>("GET", "/scale"))
    } catch (error) {
      if (error instanceof Refused) setReading({ silent: error.reason.sentence })
    } finally {
      busy.current = false
    }
  }, [])

  useEffect(() => {
    if (!on) return
    const timer = setInterval(() => void read(), EVERY_MS)
    return () => clearInterval(timer)
  }, [on, read])

  const zero = useCallback(async () => {
    setReading(await send<Reading>("POST", "/scale/zero", {}).catch(() => ({ silent: "The scale does not answer." })))
  }, [])
  const hand = useCallback(
    (act: string, more: Record<string, unknown> = {}) => send("POST", "/scale/hand", { act, ...more }),
    [],
  )
  return { reading, zero, hand }
}
