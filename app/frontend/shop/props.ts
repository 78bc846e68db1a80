import type { RoomAir } from "@/types"

/** A week by its days, and days that differ. */
export type HoursOf = { week: Record<string, string>; days: { date: string; hours: string }[] }

/** What the shop page gets, and gets back after each change. */
export type ShopProps = {
  rooms: RoomAir[]
  airs: string[]
  people: ({ id: number; name: string; at_bench: boolean } & HoursOf)[]
  shop_hours: HoursOf
  report?: { hours: number; refused: number; first_refused: string | null }
}
