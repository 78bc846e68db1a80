import { expect, test } from "vitest"

const sources: Record<string, string> = import.meta.glob("../../app/frontend/**/*.{ts,tsx}", {
  query: "?raw",
  import: "default",
  eager: true,
})
const texts = new Map(Object.entries(sources).map(([path, text]) => [path.replace("../../app/frontend/", ""), text]))
const files = [...texts.keys()]

/** @returns the file of ours that an import names; null for a package or a style */
function target(from: string, name: string): string | null {
  const base = name.startsWith("@/")
    ? name.slice(2)
    : name.startsWith(".")
      ? new URL(name, `file:///${from}`).pathname.slice(1)
      : null
  return [`${base}`, `${base}.ts`, `${base}.tsx`, `${base}/index.ts`].find((path) => texts.has(path)) ?? null
}

const imports = new Map(
  files.map((file) => [
    file,
    [...(texts.get(file) ?? "").matchAll(/^(?:import|export) [^"]*from "([^"]+)"/gm)]
      .map((match) => target(file, match[1] ?? ""))
      .filter((path) => path !== null),
  ]),
)

function circles(): string[] {
  const done = new Set<string>()
  const closed: string[] = []
  const visit = (file: string, path: string[]) => {
    if (path.includes(file)) closed.push([...path.slice(path.indexOf(file)), file].join(" -> "))
    if (done.has(file) || path.includes(file)) return
    for (const next of imports.get(file) ?? []) visit(next, [...path, file])
    done.add(file)
  }
  for (const file of files) visit(file, [])
  return closed
}

test("no file of the pages comes back to itself by its imports", () => {
  expect(files.length).toBeGreaterThan(150)
  expect(circles().filter((circle) => !circle.startsWith("types/"))).toEqual([])
})

test("what is shared knows no page, and a drawing no request", () => {
  const wrong = [...imports].flatMap(([file, names]) =>
    names
      .filter((name) => /^(components|lib|drawing)\//.test(file) && name.startsWith("pages/"))
      .concat(file.startsWith("drawing/") ? names.filter((name) => name === "lib/api.ts") : [])
      .map((name) => `${file} must not know ${name}`),
  )
  expect(wrong).toEqual([])
})
