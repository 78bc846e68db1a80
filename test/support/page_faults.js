// What is wrong with the layout of the page as it stands: a list of sentences.
const faults = []
const said = (element) => `${element.localName}.${[...element.classList].join(".")} "${element.textContent.trim().slice(0, 40)}"`
const shown = (element) => element.checkVisibility({ visibilityProperty: true, opacityProperty: true })
const fixed = (element) => element.closest(".page-rail, .sr-only, [aria-hidden=true]")

if (document.documentElement.scrollWidth > innerWidth + 1) {
  const wide = [...document.querySelectorAll("main *")].filter((element) => shown(element) && !element.closest("svg *")).find((element) => {
    const scrolls = element.parentElement?.closest(".film-section, .shop-picture, .scrolls")
    return !scrolls && element.getBoundingClientRect().right > innerWidth + 1
  })
  faults.push(`wider than the page: ${wide ? said(wide) : "?"}`)
}

for (const element of document.querySelectorAll("main *")) {
  if (!shown(element) || element.closest("svg")) continue
  const style = getComputedStyle(element)
  const hidden = ["hidden", "clip"].includes(style.overflowX)
  const words = [...element.childNodes].some((node) => node instanceof Text && node.data.trim())
  if (words && hidden && element.scrollWidth > element.clientWidth + 1 && style.textOverflow !== "ellipsis" && style.webkitLineClamp === "none" && !fixed(element))
    faults.push(`cut: ${said(element)}`)
}

const lines = []
const walker = document.createTreeWalker(document.querySelector("main"), NodeFilter.SHOW_TEXT)
for (let node = walker.nextNode(); node; node = walker.nextNode()) {
  const parent = node.parentElement
  if (!node.data.trim() || !shown(parent) || fixed(parent) || parent.closest("option, title, .film-section, .shop-picture, svg")) continue
  const range = document.createRange()
  range.selectNodeContents(node)
  let clip = null
  for (let up = parent; up && up !== document.body; up = up.parentElement)
    if (getComputedStyle(up).overflowX !== "visible" || getComputedStyle(up).overflowY !== "visible") {
      const box = up.getBoundingClientRect()
      clip = clip ? { left: Math.max(clip.left, box.left), right: Math.min(clip.right, box.right), top: Math.max(clip.top, box.top), bottom: Math.min(clip.bottom, box.bottom) } : box
    }
  for (const box of range.getClientRects()) {
    const line = { node, left: box.left, right: box.right, top: box.top + box.height * 0.2, bottom: box.bottom - box.height * 0.2 }
    if (clip) {
      line.left = Math.max(line.left, clip.left)
      line.right = Math.min(line.right, clip.right)
      line.top = Math.max(line.top, clip.top)
      line.bottom = Math.min(line.bottom, clip.bottom)
    }
    if (line.right - line.left > 2 && line.bottom > line.top) lines.push(line)
  }
}
lines.sort((one, other) => one.top - other.top)
for (let at = 0; at < lines.length; at += 1)
  for (let next = at + 1; next < lines.length && lines[next].top < lines[at].bottom; next += 1) {
    const [one, other] = [lines[at], lines[next]]
    if (one.node === other.node) continue
    const across = Math.min(one.right, other.right) - Math.max(one.left, other.left)
    const down = Math.min(one.bottom, other.bottom) - Math.max(one.top, other.top)
    if (across > 2 && down > 2) faults.push(`over each other: "${one.node.data.trim().slice(0, 30)}" and "${other.node.data.trim().slice(0, 30)}"`)
  }

const rails = [...document.querySelectorAll("nav[aria-label=Places]")].filter(shown).length
if (rails !== 1) faults.push(`${rails} rails`)

// At the bench for gloves; rows of a list are chosen with the arrows as well.
const least = (element) =>
  element.matches("[role=option]") ? 36 : location.pathname === "/bench" && element.matches("button") ? 56 : 44
for (const element of document.querySelectorAll("main :is(a, button, select, input:not([type=hidden]), [role=option], [role=radio], summary)")) {
  if (!shown(element) || element.disabled || fixed(element)) continue
  const style = getComputedStyle(element)
  if (element.localName === "a" && style.display === "inline") continue
  const target = element.matches("input[type=checkbox], input[type=radio], input[type=file]") ? (element.closest("label") ?? element) : element
  const box = target.getBoundingClientRect()
  if (box.width < 2 || box.height < 2) continue
  if (box.height < least(element) - 0.5 || box.width < 24) faults.push(`small, ${Math.round(box.width)} x ${Math.round(box.height)}: ${said(target)} ${element.getAttribute("aria-label") ?? ""}`)
}
return [...new Set(faults)]
