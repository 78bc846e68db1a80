import { useState } from "react"
import { send as request } from "@/lib/api"
import { useSend } from "@/lib/requests"
import type { ShopPage } from "@/types"

const SHOP = "/shop/instruments"

/** The ways in which a stand-in may be. */
export const FAULTS: [string, string][] = [
  ["none", "works"],
  ["disconnected", "does not answer"],
  ["stale", "sends old readings"],
  ["noisy", "is noisy"],
  ["out_of_range", "reads what cannot be"],
  ["jump", "jumps"],
]

/** Instruments are added, renewed and taken away; the token of one is told once. */
export function useInstruments(onKept: (props: ShopPage) => void) {
  const [token, setToken] = useState("")
  const { send, busy, error } = useSend()
  const ask = (verb: "POST" | "PATCH" | "DELETE", id: number | null, body: object, then?: () => void) =>
    void send(
      () => request<ShopPage & { token?: string }>(verb, id === null ? SHOP : `${SHOP}/${id}`, body),
      (props) => {
        setToken(props.token ?? "")
        onKept(props)
        then?.()
      },
    )
  return {
    token,
    busy,
    error,
    add: (body: object, then: () => void) => ask("POST", null, body, then),
    change: (id: number, body: object) => ask("PATCH", id, body),
    takeAway: (id: number) => ask("DELETE", id, {}),
  }
}

/** What can be done with an instrument. */
export function InstrumentTools({ id, tools }: { id: number; tools: ReturnType<typeof useInstruments> }) {
  return (
    <>
      <button
        type="button"
        className="text-button"
        disabled={tools.busy}
        onClick={() => tools.change(id, { renew: true })}
      >
        Another token
      </button>
      <button type="button" className="text-button" disabled={tools.busy} onClick={() => tools.takeAway(id)}>
        Take it away
      </button>
    </>
  )
}

/** A token that was just made, with how an instrument sends by it. */
export function TokenTold({ token, line }: { token: string; line: string }) {
  if (!token) return null
  const address = typeof location === "undefined" ? "" : location.origin
  return (
    <div className="room-token" role="status">
      <p>
        Its token, told only now: <code>{token}</code>
      </p>
      <pre>{`curl -H "Authorization: Bearer ${token}" -d "${line}" ${address}/readings`}</pre>
    </div>
  )
}
