import { describe, expect, test } from "vitest"
import { awayAt, isKeptPage, isVisit, kept, withAge } from "@/worker/pages"

const PAGE = { component: "Bench", url: "/bench", props: { words: "a </script> b" } }
const whole = (page: object) =>
  new Response(
    `<head></head><script data-page="app" type="application/json" nonce="n">${JSON.stringify(page).replaceAll("<", "\\u003c")}</script>`,
    {
      headers: { "Content-Type": "text/html", "Content-Security-Policy": "script-src 'nonce-n'" },
    },
  )
const visitTo = (path: string) => new Request(`http://shop${path}`, { headers: { "X-Inertia": "true" } })
const loadOf = (path: string) => new Request(`http://shop${path}`)

describe("what a device keeps of the pages", () => {
  test("bench, mixes, boards and the record of today, each whole", () => {
    const keeps = (path: string) => isKeptPage(new URL(path, "http://shop"))
    expect(["/bench", "/bench/day", "/mix", "/mix/12", "/boards/3", "/record"].map(keeps)).toEqual(Array(6).fill(true))
    expect(["/bench/day/night", "/pieces", "/record?words=runs", "/mix/12/pours", "/shop"].map(keeps)).toEqual(
      Array(5).fill(false),
    )
    expect(isVisit(visitTo("/bench"))).toBe(true)
    const part = new Request("http://shop/bench", {
      headers: { "X-Inertia": "true", "X-Inertia-Partial-Data": "bench" },
    })
    expect(isVisit(part)).toBe(false)
  })

  test("however it was answered it can be visited and loaded, and tells when it was kept", async () => {
    for (const answer of [whole(PAGE), new Response(JSON.stringify(PAGE), { headers: { "X-Inertia": "true" } })]) {
      const store = await kept(answer, 5_000)
      const visit = await withAge(store.clone(), visitTo("/bench"), whole({}))
      expect(visit?.headers.get("X-Inertia")).toBe("true")
      expect(await visit?.json()).toEqual({ ...PAGE, props: { ...PAGE.props, kept_at: 5_000 } })
      const load = await withAge(store, loadOf("/bench"), whole({ component: "Away" }))
      expect(load?.headers.get("Content-Security-Policy")).toBe("script-src 'nonce-n'")
      const text = (await load?.text()) ?? ""
      expect(text).toMatch(/^<head><\/head><script data-page="app" type="application\/json" nonce="n">\{/)
      expect(text.match(/<\/script>/g)).toHaveLength(1)
      expect(text).toContain('"kept_at":5000')
    }
  })

  test("what is not kept says so at the address that was asked for", async () => {
    const shell = whole({ component: "Away", url: "/away", props: {} })
    const page = await awayAt(shell.clone(), visitTo("/shelf?view=cans"))
    expect(await page?.json()).toEqual({ component: "Away", url: "/shelf?view=cans", props: {} })
    expect(await (await awayAt(shell, loadOf("/shelf")))?.text()).toContain('"url":"/shelf"')
  })
})
