// Makes the fonts that a first visit loads as small as what pages write: node script/subset_fonts.mjs
// The weight and width axes stay. Letters beyond these come from the whole files, when a page needs them.
import { mkdir, readFile, writeFile } from "node:fs/promises"
import subsetFont from "subset-font"

const range = (from, to) => Array.from({ length: to - from + 1 }, (_, index) => String.fromCodePoint(from + index)).join("")
const WESTERN = range(0x20, 0x7e) + range(0xa0, 0xff) + "–—‘’‚“”„…•·€™−×±ıŒœ↑↓"
const FONTS = [
  ["@fontsource-variable/saira/files/saira-latin-standard-normal.woff2", "saira-western.woff2", WESTERN, { wght: { min: 400, max: 700 }, wdth: { min: 70, max: 100 } }],
  ["@fontsource-variable/roboto-condensed/files/roboto-condensed-greek-wght-normal.woff2", "delta.woff2", "Δ"],
]

await mkdir("app/frontend/fonts", { recursive: true })
for (const [from, to, letters, axes] of FONTS) {
  const whole = await readFile(`node_modules/${from}`)
  const small = await subsetFont(whole, letters, { targetFormat: "woff2", variationAxes: axes })
  await writeFile(`app/frontend/fonts/${to}`, small)
  console.log(`${to}: ${whole.length} to ${small.length} bytes`)
}
