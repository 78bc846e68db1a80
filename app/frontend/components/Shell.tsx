import { Link, usePage } from "@inertiajs/react"
import { memo, type ReactNode, useEffect, useState } from "react"
import { recall, remember } from "@/lib/device"
import { useKeys } from "@/lib/keys"
import { inHandsOf, type Me, useMe } from "@/lib/me"
import type { Shop } from "@/lib/shop"
import { clock, day, duration, when } from "@/lib/time"
import { UnsentTouches } from "@/outbox/UnsentTouches"
import { useOutbox } from "@/outbox/useOutbox"
import { useReturn } from "@/outbox/useReturn"
import { Ringing } from "@/timers/Ringing"
import { PageBoundary } from "./Broken"
import { ConfirmPassword } from "./ConfirmPassword"
import { KeysHelp } from "./KeysHelp"
import { SignedOut } from "./SignedOut"
import { UnitsPanel } from "./UnitsPanel"
import { Unsaved } from "./Unsaved"
import { Waiting } from "./Waiting"

const PLACES = [
  { number: 1, name: "Bench", path: "/bench" },
  { number: 2, name: "Schedule", path: "/pieces" },
  { number: 3, name: "Boards", path: "/boards" },
  { number: 4, name: "Mix", path: "/mix" },
  { number: 5, name: "Shelf", path: "/shelf" },
  { number: 6, name: "Record", path: "/record" },
]
/** The record is the shop's: students have none. */
const placesOf = (me: Me | null) => PLACES.filter(({ path }) => me?.role !== "student" || path !== "/record")

type Aside = { id: number; name: string }

type ShellProps = {
  children: ReactNode
  keys?: [string, string][]
  /** When that what is shown was answered last (ms), while the shop's computer is silent; left out: as the page came. */
  silentSince?: number | null
}

/** The comb rail with its places, the shop's clock and the page beside it. Keys 1-6: places, ?: all keys. */
export function Shell({ children, keys = [], silentSince }: ShellProps) {
  const page = usePage<{ shop: Shop; aside: Aside[]; refusals?: number; kept_at?: number }>()
  const { shop, aside, kept_at, refusals = 0 } = page.props
  const here = page.url
  const me = useMe()
  useEffect(() => inHandsOf(me?.name), [me?.name])
  const now = useNow(shop.now, kept_at)
  const off = useOff(shop.now, kept_at)
  const unsent = useOutbox().unsent.filter(({ refused }) => refused === undefined).length
  useReturn(kept_at !== undefined && silentSince === undefined)
  const [help, setHelp] = useState(false)
  const [low, setLow] = useLowLight()
  const [units, setUnits] = useState(false)
  useKeys({
    ...Object.fromEntries(
      PLACES.map((place) => [String(place.number), () => document.getElementById(`place-${place.number}`)?.click()]),
    ),
    "?": () => setHelp(true),
  })
  return (
    <div className="page-shell" data-unsent={unsent > 0 ? unsent : undefined}>
      <Rail {...{ here, shop, now, off, low, me }} onLow={setLow} onUnits={setUnits} onHelp={setHelp} />
      <main className="page-main">
        {aside.length > 0 && !aside.some(({ id }) => here.startsWith(`/pieces/${id}/schedule`)) && (
          <SetAsideNote aside={aside} />
        )}
        {refusals > 0 && !here.startsWith("/shop/audit") && <RefusalsNote count={refusals} />}
        {me?.new_device && here !== "/me" && <NewDevice {...me.new_device} zone={shop.zone} />}
        <SignedOut />
        <Ringing zone={shop.zone} />
        <KeptHere
          silentSince={silentSince === undefined ? (kept_at ?? null) : silentSince}
          now={now}
          zone={shop.zone}
        />
        <Waiting />
        <PageBoundary>{children}</PageBoundary>
        {me && (
          <footer className="phone-foot">
            <Link href="/me">{me.name}</Link>
            {me.role !== "student" && <Link href="/shop">{shop.name}</Link>}
          </footer>
        )}
      </main>
      <Unsaved />
      <ConfirmPassword />
      <UnitsPanel open={units} onClose={() => setUnits(false)} />
      <KeysHelp open={help} onClose={() => setHelp(false)} keys={keys} />
    </div>
  )
}

/** For the owner: somebody guesses, or has forgotten. */
function RefusalsNote({ count }: { count: number }) {
  return (
    <p className="refusals-note">
      <Link href="/shop/audit?refused=yes">
        {count === 1 ? "A wrong password or code" : `${count} wrong passwords or codes`} in the last day
      </Link>
    </p>
  )
}

const SEEN = "new-device-seen"

/** Somebody signed in by this name elsewhere: who it was not, finds out here. */
function NewDevice({ at, device, zone }: { at: number; device: string | null; zone: string }) {
  const [seen, setSeen] = useState(() => Number(localStorage.getItem(SEEN)))
  if (seen >= at) return null
  const dismiss = () => {
    localStorage.setItem(SEEN, String(at))
    setSeen(at)
  }
  return (
    <p className="refusals-note" role="status">
      Signed in on a new device: {device ?? "unknown"}, {when(at, zone)}. <Link href="/me">Your devices</Link>
      <button type="button" className="text-button ml-3" onClick={dismiss}>
        It was me
      </button>
    </p>
  )
}

type RailProps = {
  here: string
  shop: Shop
  now: number
  /** Minutes by which this device's clock is ahead of the shop's; 0: as good as none. */
  off: number
  low: boolean
  me: Me | null
  onLow: (low: boolean) => void
  onUnits: (open: boolean) => void
  onHelp: (open: boolean) => void
}

/** Stands still while the page beside it is redrawn. */
const Rail = memo(function Rail({ here, shop, now, off, low, me, onLow, onUnits, onHelp }: RailProps) {
  return (
    <nav className="page-rail" aria-label="Places">
      <div className="rail-name">
        <Mark />
        Rhexon
      </div>
      <div className="rail-teeth">
        {placesOf(me).map((place) => (
          <Link
            key={place.path}
            id={`place-${place.number}`}
            href={place.path}
            className="rail-tooth"
            data-state={here.startsWith(place.path) ? "on" : "off"}
            aria-current={here.startsWith(place.path) ? "page" : undefined}
          >
            <small>{place.number}</small>
            {place.name}
          </Link>
        ))}
      </div>
      <div className="rail-foot">
        {me?.role === "student" ? <span>{shop.name}</span> : <Link href="/shop">{shop.name}</Link>}
        {me && (
          <Link href="/me" className="rail-me">
            {me.name}
          </Link>
        )}
        <span className="mt-2 block">{day(now, shop.zone)}</span>
        <b>{clock(now, shop.zone)}</b>
        {off !== 0 && (
          <span className="block" role="status">
            This device's clock is {duration(Math.abs(off))} {off > 0 ? "fast" : "slow"}: what is touched is put right.
          </span>
        )}
        <button type="button" onClick={() => onLow(!low)} aria-pressed={low}>
          {low ? "Full light" : "Low light"}
        </button>
        <button type="button" className="block" onClick={() => onUnits(true)}>
          Units
        </button>
        <button type="button" className="block" onClick={() => onHelp(true)}>
          Keys ?
        </button>
      </div>
    </nav>
  )
})

/** What this device keeps for the server, from whichever page, and how old what is shown is without it. */
function KeptHere({ silentSince, now, zone }: { silentSince: number | null; now: number; zone: string }) {
  const { box, unsent, waiting, trouble } = useOutbox()
  const me = useMe()?.name
  return (
    <UnsentTouches
      {...{ unsent, waiting, trouble, silentSince, now, zone, me }}
      onClaim={(id) => me && box.claim(id, me)}
      onAgain={(id) => box.again(id)}
      onLetGo={(id) => box.letGo(id)}
    />
  )
}

/** Pieces that cannot be computed, wherever one is: the rest goes on without them. */
function SetAsideNote({ aside }: { aside: Aside[] }) {
  return (
    <p className="set-aside" role="status">
      Set aside, since it cannot be computed:{" "}
      {aside.map(({ id, name }, index) => (
        <span key={id}>
          {index > 0 && ", "}
          <Link href={`/pieces/${id}/schedule`}>{name}</Link>
        </span>
      ))}
    </p>
  )
}

/**
 * The shop's minute, going on from what the server said.
 * @param at when it said so (ms); left out: just now
 */
export function useNow(start: number, at?: number): number {
  const [now, setNow] = useState(start)
  useEffect(() => {
    const began = at ?? Date.now()
    const tick = () => setNow(start + Math.floor((Date.now() - began) / 60_000))
    const timer = setInterval(tick, 5_000)
    tick()
    return () => clearInterval(timer)
  }, [start, at])
  return now
}

/** A clock that is no further off serves. */
const NEAR_MIN = 2

/** How far this device's clock is off, as it was when the page came from the shop's computer. */
function useOff(start: number, keptAt: number | undefined): number {
  const [off, setOff] = useState(0)
  useEffect(() => {
    if (keptAt !== undefined) return
    const ahead = Math.floor(Date.now() / 60_000) - start
    setOff(Math.abs(ahead) > NEAR_MIN ? ahead : 0)
  }, [start, keptAt])
  return off
}

function useLowLight(): [boolean, (low: boolean) => void] {
  const [low, setLow] = useState(() => {
    const kept = recall("rhexon.light")
    return kept ? kept === "low" : matchMedia("(prefers-color-scheme: dark)").matches
  })
  useEffect(() => {
    document.documentElement.dataset.light = low ? "low" : "full"
  }, [low])
  return [
    low,
    (next) => {
      remember("rhexon.light", next ? "low" : "full")
      setLow(next)
    },
  ]
}

function Mark() {
  return (
    <svg width="48" height="30" viewBox="0 0 48 30" aria-hidden="true">
      <path d="M1 20h12v-6h11V8h11V3h12" fill="none" stroke="currentColor" strokeWidth="2" />
      <path d="M1 26h46" stroke="var(--resin)" strokeWidth="4" />
    </svg>
  )
}
