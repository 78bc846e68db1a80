// Wood as one cached bitmap a species, grain and size: its colour, the course of its rings, pores or flecks, from a
// fixed seed.
import { type Figure, WOODS } from "@/types/woods"
import { seeded } from "./seeded"

const UNKNOWN = { pale: "#e6d3b0", mean: "#dfc9a2", dark: "#ab8d60", grain: "closed", figure: "diffuse" as Figure }
// Board of fibres: no rings, no grain, a denser skin.
const BOARD = { pale: "#d3b78f", mean: "#c3a57c", dark: "#8d714d", grain: "closed", figure: "diffuse" as Figure }
const isBoard = (grain: string) => grain.startsWith("mdf")
const cache = new Map<string, string>()

/** The species that a name of wood says: "quarter-sawn oak" is oak. */
export const speciesOf = (wood: string) =>
  wood
    .toLowerCase()
    .split(/[^\p{L}]+/u)
    .findLast((word) => word in WOODS)

/** @returns a data URL to use as an image; same input, same picture */
export function woodBitmap(wood: string, grain: string, width: number, height: number): string {
  const species = speciesOf(wood)
  const key = [species, grain, width, height].join("/")
  const kept = cache.get(key)
  if (kept) return kept
  const canvas = document.createElement("canvas")
  canvas.width = width
  canvas.height = height
  const context = canvas.getContext("2d")
  if (!context) return ""
  const seed = [...(species ?? "wood")].reduce((sum, letter) => sum * 31 + letter.charCodeAt(0), 7) % 65_521
  paint({ context, width, height, next: seeded(seed), tones: tonesOf(species, grain) }, grain)
  const url = canvas.toDataURL("image/png")
  cache.set(key, url)
  return url
}

const tonesOf = (species: string | undefined, grain: string) =>
  isBoard(grain) ? BOARD : (species && WOODS[species]) || UNKNOWN

type Sheet = {
  context: CanvasRenderingContext2D
  width: number
  height: number
  next: () => number
  tones: { pale: string; mean: string; dark: string; figure: Figure }
}

function paint(sheet: Sheet, grain: string) {
  const { context, width, height, tones } = sheet
  context.fillStyle = tones.mean
  context.fillRect(0, 0, width, height)
  if (isBoard(grain)) return fibres(sheet, grain === "mdf_edge")
  rings(sheet)
  if (tones.figure === "flecked") flecks(sheet)
  if (grain === "open" || grain === "semi_open") vessels(sheet, grain === "open" ? 190 : 480)
}

// How far apart rings stand and how hard their late wood is, by how the wood grows.
const RINGS: Record<Figure, { apart: number; late: number; wide: number }> = {
  ring: { apart: 13, late: 0.55, wide: 2 },
  diffuse: { apart: 9, late: 0.34, wide: 1.2 },
  flecked: { apart: 9, late: 0.34, wide: 1.2 },
  conifer: { apart: 10, late: 0.85, wide: 3 },
}

/** Rings run along, nearly level: pale early wood, a darker line of late wood, fine lines between. */
function rings({ context, width, height, next, tones }: Sheet) {
  const { apart, late, wide } = RINGS[tones.figure]
  const line = (y: number, colour: string, alpha: number, thick: number) => {
    context.strokeStyle = colour
    context.globalAlpha = alpha
    context.lineWidth = thick
    context.beginPath()
    let level = y
    let slope = 0
    context.moveTo(0, level)
    for (let x = 0; x <= width + 18; x += 18) {
      slope = slope * 0.8 + (next() - 0.5) * 0.5
      level += slope
      context.lineTo(x, level)
    }
    context.stroke()
  }
  for (let y = -4 + next() * apart; y < height + 6; y += apart * (0.5 + next())) {
    line(y - apart * 0.4, tones.pale, 0.6, apart * 0.5)
    line(y, tones.dark, late * (0.6 + 0.7 * next()), wide * (0.7 + 0.6 * next()))
    for (let fine = 1; fine < 3; fine += 1) line(y - (apart * fine) / 3.2, tones.dark, 0.2, 0.7)
  }
}

/** Short fibres every way, open and coarse at an edge; a face has its dense skin at the top. */
function fibres({ context, width, height, next, tones }: Sheet, edge: boolean) {
  for (let index = 0; index < (width * height) / (edge ? 60 : 110); index += 1) {
    const turn = next() * Math.PI
    const half = 0.6 + next() * (edge ? 2.6 : 1.6)
    const [x, y] = [next() * width, next() * height]
    context.strokeStyle = next() < 0.5 ? tones.pale : tones.dark
    context.globalAlpha = 0.16 + next() * (edge ? 0.34 : 0.2)
    context.lineWidth = 0.7
    context.beginPath()
    context.moveTo(x - Math.cos(turn) * half, y - Math.sin(turn) * half)
    context.lineTo(x + Math.cos(turn) * half, y + Math.sin(turn) * half)
    context.stroke()
  }
  if (edge) return
  context.globalAlpha = 0.28
  context.fillStyle = tones.dark
  context.fillRect(0, 0, width, height * 0.08)
}

/** Cut vessels: short dark dashes along the grain. */
function vessels({ context, width, height, next, tones }: Sheet, area: number) {
  context.fillStyle = tones.dark
  for (let index = 0; index < (width * height) / area; index += 1) {
    context.globalAlpha = 0.3 + next() * 0.35
    context.fillRect(next() * width, next() * height, 1.5 + next() * 7, 0.8 + next() * 0.7)
  }
}

/** Rays cut along: short, pale and darker flecks. */
function flecks({ context, width, height, next, tones }: Sheet) {
  for (let index = 0; index < (width * height) / 260; index += 1) {
    context.fillStyle = next() > 0.4 ? tones.dark : tones.pale
    context.globalAlpha = 0.16 + next() * 0.22
    context.fillRect(next() * width, next() * height, 3 + next() * 4, 1 + next())
  }
}
