export const HOME = "/bench"
const KEPT_AT = "X-Kept-At"

/** Pages that work without the shop's computer, as far as they were opened: bench, mixes, boards, record. */
const KEPT = [/^\/bench(\/day)?$/, /^\/mix(\/\d+)?$/, /^\/boards(\/\d+)?$/, /^\/record$/]
/** What a page is drawn from, where it is loaded whole. */
const DATA = /(<script data-page="app"[^>]*>)([\s\S]*?)(<\/script>)/

type Page = { url: string; props: Record<string, unknown> }

export const isKeptPage = (url: URL): boolean => url.search === "" && KEPT.some((path) => path.test(url.pathname))

/** A whole page that an open page asks for; parts of one are not kept. */
export const isVisit = ({ method, headers }: Request): boolean =>
  method === "GET" && headers.has("X-Inertia") && !headers.has("X-Inertia-Partial-Data")

/** @returns what the page is drawn from; null where the answer is no page */
export async function pageOf(response: Response): Promise<Page | null> {
  const text = await response.text()
  const data = response.headers.has("X-Inertia") ? text : DATA.exec(text)?.[2]
  return data ? JSON.parse(data) : null
}

/** @returns what is kept of an answer: what the page is drawn from, and the time it is kept at (ms) */
export async function kept(response: Response, at: number): Promise<Response> {
  return visited(await pageOf(response), { [KEPT_AT]: String(at) })
}

/** @returns a kept page as it was asked for, telling among its props when it was kept */
export async function withAge(
  response: Response,
  request: Request,
  shell: Response | undefined,
): Promise<Response | null> {
  const page: Page | null = await response.json()
  if (!page) return null
  return as({ ...page, props: { ...page.props, kept_at: Number(response.headers.get(KEPT_AT)) } }, request, shell)
}

/** @returns the page that says that the shop's computer is away, at the address that was asked for */
export async function awayAt(shell: Response, request: Request): Promise<Response | undefined> {
  const page = await pageOf(shell.clone())
  const { pathname, search } = new URL(request.url)
  return (page && (await as({ ...page, url: pathname + search }, request, shell))) ?? undefined
}

/** Loaded whole it is drawn in the shell of any page; visited it is its data alone. */
async function as(page: Page, request: Request, shell: Response | undefined): Promise<Response | null> {
  if (isVisit(request)) return visited(page)
  if (!shell) return null
  const data = JSON.stringify(page).replaceAll("<", "\\u003c")
  const text = (await shell.text()).replace(DATA, (_, start, __, end) => start + data + end)
  return new Response(text, { headers: shell.headers })
}

const visited = (page: Page | null, headers: Record<string, string> = {}): Response =>
  new Response(JSON.stringify(page), {
    headers: { ...headers, "Content-Type": "application/json", "X-Inertia": "true" },
  })
