import type { BenchPage, BenchRow, Piece, Slab } from "@/types"

// Minute of 2026-11-23T09:00 in UTC: what the figures below count from.
export const NOW = Date.UTC(2026, 10, 23, 9) / 60_000

export const row = (more: Partial<BenchRow> = {}): BenchRow => ({
  key: "p1/s1/1/top",
  person: "Imke",
  kind: "coat",
  words: "Coat 1 of 2",
  status: "planned",
  room: "bench",
  because: "start",
  hands: [[NOW, NOW + 34]],
  hands_start: NOW,
  work_start: NOW + 5,
  work_end: NOW + 29,
  hands_end: NOW + 34,
  hands_min: 34,
  window_state: "open",
  window_closes_at: null,
  laid_on_ml: 429,
  earliest: NOW,
  cautions: [],
  pattern: null,
  rests: null,
  piece: "p1",
  product: "Skerrow W20 clear satin",
  method: "spray",
  wet_um: 100,
  count: 3,
  asks: null,
  grits: [],
  round: null,
  waits_until: null,
  ...more,
})

export const piece = (more: Partial<Piece> = {}): Piece => ({
  id: 1,
  name: "Desk top",
  count: 3,
  wood: "elm",
  light: "D65",
  use: "furniture",
  look: null,
  core_id: "p1",
  client: "Quay library",
  place: null,
  due: null,
  area_m2: 1,
  look_hex: null,
  faces: [],
  ...more,
})

export const slab = (more: Partial<Slab> = {}): Slab => ({
  row: row({ status: "done" }),
  strip: [],
  next_row: row({ key: "p1/s1/2/top", words: "Coat 2 of 2" }),
  film_um: 19,
  opens_at: NOW + 10,
  closes_at: null,
  state: "too_soon",
  milestone: "recoat_opens",
  grain: "closed",
  look: "clear",
  ...more,
})

export const benchProps = (more: Partial<BenchPage["bench"]> = {}): BenchPage => ({
  bench: {
    now: NOW,
    zone: "Etc/UTC",
    people: ["Imke"],
    open_today: [[NOW - 60, NOW + 480]],
    left_today_min: 34,
    running: [],
    upcoming: [row()],
    today: [],
    drying: [],
    ...more,
  },
  pieces: [piece()],
  rooms: [],
  latest: [],
  pots: [],
  mixed: {},
})
