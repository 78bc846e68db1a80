import { minuteOf } from "@/lib/time"
import type { BenchPage, BenchRow } from "@/types"
import type { Unsent } from "./touch"

/** A coat that was laid on here and whose windows nobody has computed yet. */
export type JustDone = { row: BenchRow; at: number }
export type Ahead = BenchPage & {
  justDone: JustDone[]
  /** The newest touch that the server does not have: what "take it back" takes back first. */
  lastUnsent: Unsent | null
}

/**
 * The bench as it is with the touches that the server does not have yet: what is in hand, done, ticked and read follows
 * them at once. What has to be computed waits for the server. Refused touches did not happen.
 */
export function ahead(page: BenchPage, unsent: Unsent[]): Ahead {
  const happened = unsent.filter(({ refused }) => refused === undefined)
  const voided = new Set(happened.map(({ corrects_touch }) => corrects_touch).filter(Boolean))
  const standing = happened.filter(({ client_id }) => !voided.has(client_id))
  const first: Ahead = { ...page, justDone: [], lastUnsent: null }
  return withMore(standing.reduce(follow, first))
}

/** What comes next is told in part: once it is done here, the rest of today follows. */
function withMore(page: Ahead): Ahead {
  const { upcoming, today } = page.bench
  const known = new Set(upcoming.map(({ key }) => key))
  const more = today.filter(({ key, status }) => status === "planned" && !known.has(key))
  return more.length > 0 ? withBench(page, { upcoming: [...upcoming, ...more] }) : page
}

function follow(page: Ahead, touch: Unsent): Ahead {
  const next = (FOLLOWS[touch.kind] ?? same)(page, touch)
  return touch.kind in TAKEN_BACK_LATER ? { ...next, lastUnsent: touch } : next
}

/** Touches that "take it back" offers. */
const TAKEN_BACK_LATER: Partial<Record<Unsent["kind"], true>> = {
  started: true,
  done: true,
  tick: true,
  measured: true,
  dry_test: true,
  fault: true,
}

const same = (page: Ahead): Ahead => page

const FOLLOWS: Partial<Record<Unsent["kind"], (page: Ahead, touch: Unsent) => Ahead>> = {
  started(page, touch) {
    const row = planned(page, touch.pass)
    if (!row) return page
    const at = minuteOf(touch.happened_at)
    const begun = {
      ...row,
      status: "running",
      person: touch.person ?? row.person,
      hands_start: at,
      hands: [[at, at + row.hands_min]] as BenchRow["hands"],
    }
    return withBench(page, {
      running: [...page.bench.running, begun],
      upcoming: without(page.bench.upcoming, row),
      today: instead(page.bench.today, begun),
      drying: page.bench.drying.map((slab) => (slab.next_row?.key === row.key ? { ...slab, next_row: null } : slab)),
    })
  },
  done(page, touch) {
    const row = page.bench.running.find(({ key }) => key === touch.pass) ?? planned(page, touch.pass)
    if (!row) return page
    const done = {
      ...row,
      status: "done",
      hands: [[row.hands_start, minuteOf(touch.happened_at)]] as BenchRow["hands"],
    }
    return {
      ...withBench(page, {
        running: without(page.bench.running, row),
        upcoming: without(page.bench.upcoming, row),
        today: instead(page.bench.today, done),
      }),
      justDone: [...page.justDone, { row: done, at: minuteOf(touch.happened_at) }],
    }
  },
  tick(page, { pass, nth }) {
    const ticked = (row: BenchRow) =>
      row.key === pass && nth !== undefined && !row.ticked.includes(nth)
        ? { ...row, ticked: [...row.ticked, nth] }
        : row
    return withBench(page, { running: page.bench.running.map(ticked), upcoming: page.bench.upcoming.map(ticked) })
  },
  dry_test(page, { pass, answer, milestone }) {
    if (answer !== "dry") return page
    return withBench(page, {
      drying: page.bench.drying.map((slab) =>
        slab.row.key === pass && slab.milestone === milestone && slab.state === "too_soon"
          ? { ...slab, state: "open", milestone: null }
          : slab,
      ),
    })
  },
  acknowledged(page, { pass, person, cautions = [] }) {
    if (!pass || !person) return page
    const [piece = ""] = pass.split("/")
    const known = page.read[piece] ?? {}
    return { ...page, read: { ...page.read, [piece]: { ...known, [person]: [...(known[person] ?? []), ...cautions] } } }
  },
  rags: (page) => ({ ...page, rags: null }),
  correction(page, { corrects }) {
    const entry = page.latest.find(({ id }) => id === corrects)
    if (!entry) return page
    const rest = { ...page, latest: page.latest.filter(({ id }) => id !== corrects) }
    const row = [...page.bench.running, ...page.bench.today].find(({ key }) => key === entry.pass_key)
    if (entry.kind === "started" && row) {
      const back = { ...row, status: "planned" }
      return withBench(rest, {
        running: without(page.bench.running, row),
        upcoming: [back, ...page.bench.upcoming],
        today: instead(page.bench.today, back),
      })
    }
    if (entry.kind === "done" && row) {
      const back = { ...row, status: "running" }
      return withBench(rest, {
        running: [back, ...without(page.bench.running, row)],
        today: instead(page.bench.today, back),
        drying: page.bench.drying.filter((slab) => slab.row.key !== row.key),
      })
    }
    return rest
  },
}

const withBench = (page: Ahead, bench: Partial<BenchPage["bench"]>): Ahead => ({
  ...page,
  bench: { ...page.bench, ...bench },
})

/** Work of the plan that is not begun: of what comes next, of today, or behind what dries. */
const planned = ({ bench }: BenchPage, pass: string | undefined): BenchRow | undefined =>
  [...bench.upcoming, ...bench.today, ...bench.drying.flatMap(({ next_row }) => next_row ?? [])].find(
    ({ key, status }) => key === pass && status === "planned",
  )

const without = (rows: BenchRow[], row: BenchRow): BenchRow[] => rows.filter(({ key }) => key !== row.key)
const instead = (rows: BenchRow[], row: BenchRow): BenchRow[] => rows.map((one) => (one.key === row.key ? row : one))
