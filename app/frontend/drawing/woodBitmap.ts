// Wood as one cached bitmap a kind and size: base, grain lines and pores, from a fixed seed.

const TONES: Record<string, [string, string]> = {
  elm: ["#dcc7a0", "#a98b5c"],
  alder: ["#dcb68c", "#b3855a"],
  sycamore: ["#ecdfc3", "#c9b48a"],
  larch: ["#dba872", "#a9703d"],
  lime: ["#ead8b6", "#c7ab7c"],
  oak: ["#d3b787", "#96754a"],
  walnut: ["#8f6b4a", "#5c4029"],
}
const cache = new Map<string, string>()

function random(seed: number): () => number {
  let state = seed
  return () => {
    state = (state * 1664525 + 1013904223) % 4294967296
    return state / 4294967296
  }
}

/** @returns a data URL to use as an image; same input, same picture */
export function woodBitmap(wood: string, grain: string, width: number, height: number): string {
  const key = [wood, grain, width, height].join("/")
  const kept = cache.get(key)
  if (kept) return kept
  const canvas = document.createElement("canvas")
  canvas.width = width
  canvas.height = height
  const context = canvas.getContext("2d")
  if (!context) return ""
  paint(context, TONES[wood.toLowerCase()] ?? ["#dfc9a2", "#ab8d60"], grain, width, height)
  const url = canvas.toDataURL("image/png")
  cache.set(key, url)
  return url
}

function paint(
  context: CanvasRenderingContext2D,
  [base, line]: [string, string],
  grain: string,
  width: number,
  height: number,
) {
  const next = random(width * 31 + height * 7 + grain.length)
  context.fillStyle = base
  context.fillRect(0, 0, width, height)
  context.strokeStyle = line
  for (let y = 2; y < height; y += 3 + next() * 7) {
    context.globalAlpha = 0.1 + next() * 0.28
    context.lineWidth = 0.5 + next() * 1.1
    context.beginPath()
    context.moveTo(0, y)
    let level = y
    for (let x = 0; x <= width; x += 24) {
      level += (next() - 0.5) * 2.6
      context.lineTo(x, level)
    }
    context.stroke()
  }
  if (grain !== "open" && grain !== "semi_open") return
  context.fillStyle = line
  const pores = (width * height) / (grain === "open" ? 150 : 420)
  for (let index = 0; index < pores; index += 1) {
    context.globalAlpha = 0.35 + next() * 0.4
    context.fillRect(next() * width, next() * height, 1 + next() * 6, 1 + next() * 1.2)
  }
}
