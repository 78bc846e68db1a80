import greek from "@/fonts/delta.woff2?url"
import font from "@/fonts/saira-western.woff2?url"
import { definitions, shape } from "./inline"
import { redrawn } from "./page"

/** What is saved: its heading, the name of its file without an ending, and the parts of the page, one under another. */
export type Picture = { title: string; file: string; parts: () => Element[] }

const EDGE = 24
const HEAD = 44
const GAP = 12
const PNG_SCALE = 2

/** The picture as an SVG file of its own: shapes, words and the letters they are written in. */
export async function svgOf({ title, parts }: Picture): Promise<{ text: string; width: number; height: number }> {
  const drawn = parts().map((part) => redrawn(part))
  const width = Math.ceil(Math.max(...drawn.map((part) => part.width)) + 2 * EDGE)
  const root = shape("svg", { xmlns: "http://www.w3.org/2000/svg" })
  const styles = getComputedStyle(document.documentElement)
  const ink = styles.getPropertyValue("--ink")
  const head = shape("text", {
    x: EDGE,
    y: EDGE + 14,
    fill: ink,
    "font-family": "'Saira Variable', sans-serif",
    "font-size": "20px",
    "font-weight": "640",
    "font-stretch": "75%",
  })
  head.textContent = title
  root.append(head)
  let top = HEAD + GAP
  for (const part of drawn) {
    part.drawing.setAttribute("transform", `translate(${EDGE} ${top})`)
    root.append(part.drawing)
    top += part.height + GAP
  }
  const height = Math.ceil(top - GAP + EDGE)
  const ground = shape("rect", { width, height, fill: styles.getPropertyValue("--ground-flat") })
  const letters = shape("style", {})
  letters.textContent = await faces()
  root.prepend(letters, definitions(root), ground)
  for (const [name, value] of Object.entries({ width, height, viewBox: `0 0 ${width} ${height}` }))
    root.setAttribute(name, String(value))
  return { text: new XMLSerializer().serializeToString(root), width, height }
}

/** The same as a picture of dots, twice as fine as the page. */
async function pngOf(picture: Picture): Promise<Blob> {
  const { text, width, height } = await svgOf(picture)
  const url = URL.createObjectURL(new Blob([text], { type: "image/svg+xml" }))
  try {
    const image = new Image()
    image.src = url
    await image.decode()
    const canvas = document.createElement("canvas")
    canvas.width = width * PNG_SCALE
    canvas.height = height * PNG_SCALE
    canvas.getContext("2d")?.drawImage(image, 0, 0, canvas.width, canvas.height)
    return await new Promise((resolve, reject) =>
      canvas.toBlob((blob) => (blob ? resolve(blob) : reject(new Error("The picture is too large"))), "image/png"),
    )
  } finally {
    URL.revokeObjectURL(url)
  }
}

/** Hands the picture to the browser as a file. */
export async function save(picture: Picture, kind: "svg" | "png") {
  const blob =
    kind === "png" ? await pngOf(picture) : new Blob([(await svgOf(picture)).text], { type: "image/svg+xml" })
  const url = URL.createObjectURL(blob)
  const link = document.createElement("a")
  link.href = url
  link.download = `${slug(picture.file)}.${kind}`
  link.click()
  setTimeout(() => URL.revokeObjectURL(url), 10_000)
}

const slug = (words: string) =>
  words
    .toLowerCase()
    .replace(/[^\p{L}\p{N}]+/gu, "-")
    .replace(/^-|-$/g, "")

async function faces(): Promise<string> {
  const face = async (family: string, url: string, more = "") =>
    `@font-face{font-family:"${family}";font-weight:100 900;${more}src:url(${await dataOf(url)}) format("woff2")}`
  // Without a network the picture is kept all the same, in the reader's own letters.
  const kept = [face("Saira Variable", font, "font-stretch:50% 125%;"), face("Rhexon Greek", greek)]
  return (await Promise.all(kept.map((one) => one.catch(() => "")))).join("")
}

async function dataOf(url: string): Promise<string> {
  if (url.startsWith("data:")) return url
  const blob = await (await fetch(url)).blob()
  return new Promise((resolve) => {
    const reader = new FileReader()
    reader.onload = () => resolve(String(reader.result))
    reader.readAsDataURL(blob)
  })
}
