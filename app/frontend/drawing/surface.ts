// What a film's top shows: the texture of its method, and the pores that it has not filled.
import type { Layer, Section } from "@/types"
import type { Axis } from "./axis"
import { heightAt, type Point } from "./film"
import { seeded } from "./seeded"

/** A pore as it is drawn, px: its middle, half its width at the top, its depth. */
export type Pore = { x: number; half: number; depth: number }

// Depth of the wood is squeezed otherwise than the film: 200 µm come to 52 px.
const PX_PER_UM = 0.26
// How far a film sinks in over a pore that is empty, of the depth of the pore, px for each µm.
const SINK = 0.02
// The texture is drawn flatter than it is, px for each µm from peak to valley: at the scale of the film it would hide
// the windows.
const TEXTURE = 0.18
const WAVES: Record<Layer["laid_by"], number> = { spray: 7, brush: 5, roller: 9, wipe: 14, pad: 14 }

/** The pores of a wood along a section: deep and wide ones stand further apart. */
export function poresOf(width: number, depthUm: number): Pore[] {
  const next = seeded(Math.round(depthUm * 13 + 7))
  const apart = 9 + depthUm * 0.09
  const pores: Pore[] = []
  for (let x = apart * next(); x < width - 3; x += apart * (0.3 + 1.4 * next() ** 1.4)) {
    const share = 0.6 + 0.4 * next()
    pores.push({ x, half: 0.6 + depthUm * 0.012 * share * (0.6 + 0.8 * next()), depth: depthUm * PX_PER_UM * share })
  }
  return pores
}

/** Share of the pores' depth that is filled at a minute, 0 to 1. */
export function filledAt({ depth_um, filled }: Section["pores"], minute: number): number {
  const last = filled.findLast(([from]) => from <= minute)
  return last ? Math.min(last[1] / depth_um, 1) : 0
}

/** The outlines of all pores, and of what is in them, as two paths from the face of the wood down. */
export function porePaths(pores: Pore[], section: Section["pores"], axis: Pick<Axis, "minute">, zero: number) {
  const trench = ({ x, half, depth }: Pore, from: number) => {
    const wide = half * Math.sqrt(Math.max(1 - from / depth, 0))
    const to = zero + depth
    return `M${at(x - wide)} ${at(zero + from)}Q${at(x - wide * 0.7)} ${at(to)} ${at(x)} ${at(to)}Q${at(x + wide * 0.7)} ${at(to)} ${at(x + wide)} ${at(zero + from)}Z`
  }
  const full = pores.map((pore) => ({ pore, share: filledAt(section, axis.minute(pore.x)) }))
  return {
    open: pores.map((pore) => trench(pore, 0)).join(""),
    filled: full
      .filter(({ share }) => share > 0.02)
      .map(({ pore, share }) => trench(pore, pore.depth * (1 - share)))
      .join(""),
  }
}

const at = (px: number) => px.toFixed(1)

type Place = { axis: Pick<Axis, "x" | "minute">; pxPerUm: number; pores: Pore[]; section: Section; end: number }

/**
 * The top of a layer as it is drawn: minutes and µm. From when it is dry to touch it sinks in over the pores that are
 * not full; until an abrasive or the next coat it shows the texture of its method.
 */
export function surface(layer: Layer, next: Layer | undefined, place: Place): Point[] {
  const { axis, pxPerUm, pores, section, end } = place
  const top = layer.top as Point[]
  const from = Math.min(layer.touch_at * 2 - layer.laid_at, end)
  const until = Math.min(next?.laid_at ?? end, layer.smooth_at ?? end, end)
  const wave = WAVES[layer.laid_by]
  const high = (layer.texture_um * TEXTURE) / 2 / pxPerUm
  const open = 1 - filledAt(section.pores, layer.laid_at)
  const points: Point[] = []
  const add = (x: number, by: number) => {
    const minute = axis.minute(x)
    points.push([minute, Math.max(heightAt(top, minute) + by, layer.base_um + 0.5)])
  }
  const [x1, x2] = [axis.x(from), axis.x(until)]
  for (let x = x1, up = 1; x < x2 - wave; x += wave / 2, up = -up) if (high * pxPerUm > 0.3) add(x, high * up)
  const sink = (section.pores.depth_um * open * SINK) / pxPerUm
  if (sink * pxPerUm > 0.4)
    for (const pore of pores)
      if (pore.x > x1 + 3 && pore.x < axis.x(end) - 3) {
        add(pore.x - pore.half - 1, 0)
        add(pore.x, -sink)
        add(pore.x + pore.half + 1, 0)
      }
  return [...top, ...points].sort((one, other) => one[0] - other[0])
}
