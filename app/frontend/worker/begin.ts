import { cleanupOutdatedCaches, precacheAndRoute } from "workbox-precaching"
import { registerRoute, setCatchHandler } from "workbox-routing"
import { NetworkFirst, NetworkOnly } from "workbox-strategies"
import { awayAt, HOME, isKeptPage, isVisit, kept, withAge } from "./pages"

declare const self: ServiceWorkerGlobalScope

/** A shop's computer that is silent for so long is taken for gone; the page asks on by itself. */
const PATIENCE_S = 10
const AWAY = "/away"
const PAGES = "pages"

/**
 * Makes the pages of the bench work without the shop's computer: scripts, styles and letters are kept whole, pages as
 * they were answered last, each with the time it was kept at.
 * @param files what the build made
 * @param version of the build, as pages name it
 */
export function begin(files: string[], version: string): void {
  void self.skipWaiting()
  self.addEventListener("install", (event) => event.waitUntil(keepAway()))
  self.addEventListener("activate", (event) => event.waitUntil(keepOpen(version)))
  self.addEventListener("message", (event) => event.waitUntil(keepAll(addressesIn(event.data), version)))
  self.addEventListener("notificationclick", (event) => event.waitUntil(comeForward(event.notification)))
  cleanupOutdatedCaches()
  precacheAndRoute(files.map((url) => ({ url, revision: null })))
  registerRoute(({ request, url }) => isPage(request) && isKeptPage(url), pages)
  registerRoute(({ request }) => isPage(request), new NetworkOnly())
  setCatchHandler(async ({ request }) => (await away(request)) ?? Response.error())
}

const isPage = (request: Request): boolean => request.mode === "navigate" || isVisit(request)

/** Whether it is loaded whole or visited from an open page, a page is kept once, by its address. */
const pages = new NetworkFirst({
  cacheName: PAGES,
  networkTimeoutSeconds: PATIENCE_S,
  plugins: [
    {
      cacheKeyWillBeUsed: async ({ request }) => new URL(request.url).pathname,
      // What was touched while it was on its way is newer.
      requestWillFetch: async ({ request, state }) => {
        if (state) state.at = Date.now()
        return request
      },
      cacheWillUpdate: async ({ response, state }) =>
        response.ok && !response.redirected ? kept(response, state?.at ?? Date.now()) : null,
      cachedResponseWillBeUsed: async ({ cachedResponse, event }) =>
        cachedResponse && withAge(cachedResponse, (event as FetchEvent).request, await shell()),
    },
  ],
})

const shell = async () => (await caches.open(AWAY)).match(AWAY)

/** What stands in the place of a page that is not kept. */
async function keepAway(): Promise<void> {
  const page = await fetch(AWAY)
  if (page.ok) await (await caches.open(AWAY)).put(AWAY, page)
}

async function away(request: Request): Promise<Response | undefined> {
  const page = isPage(request) ? await shell() : undefined
  return page && awayAt(page, request)
}

/** Pages that were open before there was anything to keep them. */
async function keepOpen(version: string): Promise<void> {
  await self.clients.claim()
  const open = await self.clients.matchAll({ type: "window" })
  await keepAll([HOME, ...open.map(({ url }) => new URL(url).pathname)], version)
}

const addressesIn = (data: unknown): string[] =>
  Array.isArray(data) ? data.filter((path): path is string => typeof path === "string") : []

/** One after the other, so that the shop's computer is not held up by what nobody waits for. */
async function keepAll(addresses: string[], version: string): Promise<void> {
  const cache = await caches.open(PAGES)
  const headers = { "X-Inertia": "true", "X-Inertia-Version": version, Accept: "text/html, application/xhtml+xml" }
  for (const path of new Set(addresses)) {
    if (!isKeptPage(new URL(path, self.location.origin))) continue
    const at = Date.now()
    const page = await fetch(path, { headers }).catch(() => null)
    if (page?.ok && !page.redirected && page.headers.has("X-Inertia")) await cache.put(path, await kept(page, at))
  }
}

async function comeForward(notification: Notification): Promise<void> {
  notification.close()
  const [open] = await self.clients.matchAll({ type: "window" })
  if (open) await open.focus()
  else await self.clients.openWindow(HOME)
}
