import type { RoomAir } from "@/types"

/** A week by its days, and days that differ. */
export type HoursOf = { week: Record<string, string>; days: { date: string; hours: string }[] }

export type PersonOf = { id: number; name: string; at_bench: boolean; skills: string[] | null } & HoursOf

/** What the shop page gets, and gets back after each change. */
export type ShopProps = {
  rooms: RoomAir[]
  airs: string[]
  people: PersonOf[]
  trained_work: string[]
  tools: { id: number; name: string; used_for: string }[]
  uses: string[]
  shop_hours: HoursOf
  house: Record<string, string | number>
  report?: { hours: number; refused: number; first_refused: string | null }
}
