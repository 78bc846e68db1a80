export type Part = [number, number, number, number]
export type AreaFields = {
  parts: Part[]
  exit: [number, number]
  product: string
  room: string
  tool: string
  strips: string
  rate: string
  coats: number
}
export type SectionOf = {
  number: number
  x: number
  y: number
  width: number
  height: number
  live_edge_m: number
  area_m2: number
  minutes: number
  begins_min: number
  ml: number
}
export type AreaAnswer = {
  limit_m: number
  strip_m: number
  open_min: number
  sheet_open_min: number
  wet_um: number
  area_m2: number
  minutes: number
  ml: number
  all_ml: number
  coats: number
  cut_off: number[]
  touch_min: number | null
  recoat_min: number | null
  sections: SectionOf[]
}
export type AreaChoices = {
  products: { code: string; name: string }[]
  rooms: string[]
  tools: string[]
  rates: Record<string, number>
}
