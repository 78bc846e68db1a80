import type { AreaPage } from "@/types"

export type Part = [number, number, number, number]
/** What is sketched and chosen. */
export type AreaFields = AreaPage["first"] & { product: string; room: string; rate: string }
