import { keptSetting } from "./kept"

type Paper = "shop" | "a4" | "letter"

/** The paper of this device's printer; as the shop's units have it, until somebody says otherwise. */
export const usePaperSize = keptSetting<Paper>("rhexon.paper", (kept) =>
  kept === "a4" || kept === "letter" ? kept : "shop",
)

/** @returns the address of a sheet, for this device's paper */
export function usePaper(): (path: string) => string {
  const [size] = usePaperSize()
  return (path) => (size === "shop" ? path : `${path}${path.includes("?") ? "&" : "?"}paper=${size}`)
}
