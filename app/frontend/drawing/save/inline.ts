// A drawing by itself: what the page's styles say of it, written on it.

const NS = "http://www.w3.org/2000/svg"

// What may be said of a shape, with what holds where nothing is said.
const SHAPE: Record<string, string> = {
  fill: "",
  stroke: "none",
  "stroke-width": "1px",
  "stroke-dasharray": "none",
  "stroke-linejoin": "miter",
  opacity: "1",
  "fill-opacity": "1",
  "paint-order": "normal",
}
const WORDS: Record<string, string> = {
  "font-family": "",
  "font-size": "",
  "font-weight": "400",
  "font-stretch": "100%",
  "text-anchor": "start",
}
const STOP: Record<string, string> = { "stop-color": "", "stop-opacity": "1" }

const said = (name: string) =>
  name === "stop" ? STOP : name === "text" || name === "tspan" ? { ...SHAPE, ...WORDS } : SHAPE

/** A copy that looks the same without the page: no classes, no variables, nothing that only takes touches. */
export function copied<T extends SVGElement>(original: T): T {
  const copy = original.cloneNode(false) as T
  for (const name of ["class", "style", "role", "aria-label"]) copy.removeAttribute(name)
  const styles = getComputedStyle(original)
  if (!["g", "svg", "defs", "title", "pattern", "linearGradient"].includes(original.localName))
    for (const [name, unsaid] of Object.entries(said(original.localName))) {
      const value = styles
        .getPropertyValue(name)
        .replaceAll('"', "'")
        .replace(/url\('(#[^']+)'\)/, "url($1)")
      if (value && value !== unsaid) copy.setAttribute(name, value)
      else copy.removeAttribute(name)
    }
  for (const child of original.childNodes) {
    if (child instanceof SVGElement) {
      if (!child.hasAttribute("data-overlay") && getComputedStyle(child).display !== "none") copy.append(copied(child))
    } else copy.append(child.cloneNode())
  }
  return copy
}

/** The patterns and gradients that a drawing uses, out of the page. */
export function definitions(drawing: SVGElement): SVGDefsElement {
  const defs = document.createElementNS(NS, "defs")
  const text = new XMLSerializer().serializeToString(drawing)
  const ids = new Set([...text.matchAll(/url\(#([^)]+)\)/g)].map(([, id]) => id as string))
  for (const id of ids) {
    const original = document.getElementById(id)
    if (original instanceof SVGElement) defs.append(copied(original))
  }
  return defs
}

/** A new element of a drawing. */
export function shape(name: string, attributes: Record<string, string | number>): SVGElement {
  const element = document.createElementNS(NS, name)
  for (const [attribute, value] of Object.entries(attributes)) element.setAttribute(attribute, String(value))
  return element
}
