import type { Kept } from "@/outbox/kept"

/** What a hand did at the bench; the queue adds its id and its time. */
export type Touch = {
  kind: "started" | "done" | "tick" | "measured" | "dry_test" | "fault" | "acknowledged" | "rags" | "correction"
  pass?: string
  person?: string
  /** When it happened, where that was typed: by the shop's clock, not this device's. */
  happened_at?: string
  shop_time?: true
  /** Of a start: hands begin to set up (left out), or the work itself begins. */
  from?: "stroke"
  /** Of a tick: which of the alike pieces, from 1. */
  nth?: number
  /** Of a coat that is measured: comb, µm; pot before and after, g; surface, °C; how the gun was set. */
  comb_um?: number[]
  pot_g?: [number, number]
  surface_c?: number
  /** Seconds through the cup. */
  efflux_s?: number
  gun?: Record<string, number>
  milestone?: string
  /** What a dry test was made on: the film, or the glass beside it. */
  by?: "film" | "glass"
  /** Of a dry test, a look, or a test of an old finish. */
  answer?: string
  fault?: string
  /** What it came from, as the hand believes, and what the hand was asked: cause => yes or no. */
  cause?: string
  answers?: Record<string, boolean>
  /** How far the fault goes across, where that was said. */
  size_mm?: number
  readings?: number[]
  /** What corrects a pin meter: temperature of the wood, °C, and points for its kind. */
  t_c?: number
  points?: number
  mending?: string
  /** Of rubbed oil, that one piece took. */
  drops?: number
  /** Ids of the cautions that were read. */
  cautions?: string[]
  /** The entry that is taken back, or the touch that will be one. */
  corrects?: number
  corrects_touch?: string
}

/** A touch of the bench that the server does not have yet. */
export type Unsent = Touch & { client_id: string; happened_at: string; words: string; refused?: string }

export const ENTRIES = "/entries"

/** Touches of the bench among all that this device keeps. */
export const ofBench = (kept: Kept[]): Unsent[] =>
  kept
    .filter(({ path }) => path === ENTRIES)
    .map(
      ({ body, client_id, words, refused }) =>
        ({ ...(body as Touch & Kept["body"]), client_id, words, refused }) as Unsent,
    )
