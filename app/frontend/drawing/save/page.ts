// A part of the page as a drawing: boxes, borders, pictures and words where they stand, drawings as they are.
import { copied, shape } from "./inline"

type Place = { left: number; top: number }

/** Everything in an element, placed from its upper left corner. */
export function redrawn(root: Element): { drawing: SVGElement; width: number; height: number } {
  const box = root.getBoundingClientRect()
  const group = shape("g", {})
  draw(root, group, { left: box.left, top: box.top })
  const inside = root instanceof SVGElement ? box : { width: root.scrollWidth, height: root.scrollHeight }
  return { drawing: group, width: Math.max(inside.width, 1), height: Math.max(inside.height, 1) }
}

// What is there for hands only.
const UNSAVED = ".ui-button, .ui-input, .sr-only, [data-unsaved]"

function draw(element: Element, into: SVGElement, from: Place) {
  if (element.matches(UNSAVED)) return
  const style = getComputedStyle(element)
  const box = element.getBoundingClientRect()
  if (style.display === "none" || style.visibility === "hidden") return
  if (element instanceof SVGSVGElement) {
    const copy = copied(element)
    copy.setAttribute("x", String(box.left - from.left))
    copy.setAttribute("y", String(box.top - from.top))
    copy.setAttribute("width", String(box.width))
    copy.setAttribute("height", String(box.height))
    into.append(copy)
    return
  }
  ground(style, box, into, from)
  for (const child of element.childNodes) {
    if (child instanceof Element) draw(child, into, from)
    else if (child instanceof Text) words(child, style, into, from)
  }
}

const seen = (colour: string) => colour !== "transparent" && !/, 0\)$/.test(colour)

function ground(style: CSSStyleDeclaration, box: DOMRect, into: SVGElement, from: Place) {
  const at = { x: box.left - from.left, y: box.top - from.top, width: box.width, height: box.height }
  if (box.width <= 1 || box.height <= 1) return
  if (seen(style.backgroundColor)) into.append(shape("rect", { ...at, fill: style.backgroundColor }))
  const picture = style.backgroundImage.match(/url\("(data:image[^"]+)"\)/)?.[1]
  if (picture) into.append(shape("image", { ...at, href: picture, preserveAspectRatio: "none" }))
  const [x2, y2] = [at.x + at.width, at.y + at.height]
  const sides: [string, string][] = [
    ["top", `M${at.x} ${at.y}H${x2}`],
    ["right", `M${x2} ${at.y}V${y2}`],
    ["bottom", `M${at.x} ${y2}H${x2}`],
    ["left", `M${at.x} ${at.y}V${y2}`],
  ]
  for (const [side, d] of sides) {
    const width = Number.parseFloat(style.getPropertyValue(`border-${side}-width`))
    const colour = style.getPropertyValue(`border-${side}-color`)
    if (width > 0 && seen(colour)) into.append(shape("path", { d, stroke: colour, "stroke-width": width }))
  }
}

/** The words of a text, each line where it stands. */
function words(text: Text, style: CSSStyleDeclaration, into: SVGElement, from: Place) {
  const range = document.createRange()
  const lines: { top: number; left: number; words: string }[] = []
  for (const { 0: word, index } of text.data.matchAll(/\S+\s*/g)) {
    range.setStart(text, index)
    range.setEnd(text, index + word.trimEnd().length)
    const [box] = range.getClientRects()
    if (!box?.width) continue
    const line = lines.at(-1)
    if (line && Math.abs(line.top - box.top) < 2) line.words += word
    else lines.push({ top: box.top, left: box.left, words: word })
  }
  for (const line of lines) {
    const written = shape("text", {
      x: line.left - from.left,
      y: line.top - from.top + ascent(style),
      fill: style.color,
      "font-family": style.fontFamily.replaceAll('"', "'"),
      "font-size": style.fontSize,
      "font-weight": style.fontWeight,
      "font-stretch": style.fontStretch,
    })
    written.textContent = line.words.trimEnd()
    into.append(written)
  }
}

const canvas = document.createElement("canvas").getContext("2d")

function ascent({ fontFamily, fontSize }: CSSStyleDeclaration): number {
  if (!canvas) return Number.parseFloat(fontSize)
  canvas.font = `${fontSize} ${fontFamily}`
  return canvas.measureText("M").fontBoundingBoxAscent
}
