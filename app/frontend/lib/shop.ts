import { usePage } from "@inertiajs/react"

/** What every page knows of the shop: its name, its zone, its minute when the page came, and its money. */
export type Shop = { name: string; zone: string; now: number; currency: string }

export function useShop(): Shop {
  return usePage<{ shop: Shop }>().props.shop
}
