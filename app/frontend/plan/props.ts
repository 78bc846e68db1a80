import type { Chance, ShopPlan } from "@/types"

export type { Chance, ShopPlan }
export type PlanPiece = { core_id: string; id: number; name: string; count: number; client: string }

/** What the shop plan gets, and gets back when it has changed. */
export type PlanProps = { plan: ShopPlan; goal: string; accepted_at: number | null; pieces: PlanPiece[] }
export type Strand = ShopPlan["strands"][number]
export type Mark = Strand["marks"][number]
