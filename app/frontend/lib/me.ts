import { usePage } from "@inertiajs/react"

export type Role = "owner" | "finisher" | "student"
/** Whose hands this device is in. */
export type Me = {
  name: string
  role: Role
  /** Where they signed in last on a device they had not used before, since they did on this one. */
  new_device?: { at: number; device: string | null } | null
}

export const ROLE: Record<Role, string> = { owner: "owner", finisher: "finisher", student: "student" }

/** What each may do, in a line. */
export const MAY: Record<Role, string> = {
  owner: "everything, people and backups too",
  finisher: "plan, mix, work and record",
  student: "their own pieces and boards",
}

/** @returns null where nobody is known on this device */
export function useMe(): Me | null {
  return usePage<{ me?: Me | null }>().props.me ?? null
}

/** @returns whether whoever is here works on the shop as a whole; a student has their own pieces and boards */
export const useRunsShop = (): boolean => useMe()?.role !== "student"

let here: string | undefined
/** Whose hands this device is in, for what is no page. */
export const whoseHands = (): string | undefined => here
export function inHandsOf(name: string | undefined): void {
  here = name
}

/** Pages that this device keeps for when the shop's computer is away: they are of whoever was here before. */
export async function forgetPages(): Promise<void> {
  if ("caches" in window) await caches.delete("pages")
}
