import { iso } from "@/lib/time"
import type { Side, Wish } from "@/types"
import { Asked } from "./Asked"

const DAY_MIN = 1440
const DULLER_GU = 15
const HARDEST = 5

type Props = {
  wish: Wish
  asks: Record<string, number>
  standing: Side | null
  onWish: (change: Partial<Wish>) => void
}

/** What a client says of a piece that has a schedule: each word is one touch, and a second touch takes it back. */
export function Otherwise({ wish, asks, standing, onWish }: Props) {
  if (!standing) return null
  const gu = standing.sheen_gu
  const ready = standing.ready_at
  const wear = Math.min(HARDEST, Math.max(asks.wear ?? 1, 3) + 1)
  const words: { word: string; on: boolean; wish: Partial<Wish>; back: Partial<Wish> }[] = [
    { word: "harder", on: Boolean(wish.least), wish: { least: { wear, heat: asks.heat ?? 2 } }, back: { least: null } },
    ...(gu === null || gu < DULLER_GU
      ? []
      : [
          {
            word: "duller",
            on: wish.sheen?.[1] === Math.round(gu - DULLER_GU / 2),
            wish: { sheen: [3, Math.round(gu - DULLER_GU / 2)] as [number, number] },
            back: { sheen: null },
          },
        ]),
    { word: "paler", on: wish.pale === true, wish: { pale: true, opaque: false, lab: null }, back: { pale: false } },
    ...(ready === null
      ? []
      : [
          {
            word: "sooner",
            on: Boolean(wish.due),
            wish: { due: iso(ready - DAY_MIN) },
            back: { due: null },
          },
        ]),
  ]
  return (
    <Asked label="Than it is now">
      <fieldset className="ui-switch">
        <legend className="sr-only">Than it is now</legend>
        {words.map(({ word, on, wish: change, back }) => (
          <button key={word} type="button" aria-pressed={on} onClick={() => onWish(on ? back : change)}>
            {word}
          </button>
        ))}
      </fieldset>
    </Asked>
  )
}
