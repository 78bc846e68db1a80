// Instants travel as minutes since 1970 in UTC; a zone only shows them.

const formatters = new Map<string, Intl.DateTimeFormat>()

function formatter(zone: string): Intl.DateTimeFormat {
  let formatter = formatters.get(zone)
  if (!formatter) {
    formatter = new Intl.DateTimeFormat("en-GB", {
      timeZone: zone,
      day: "numeric",
      month: "numeric",
      year: "numeric",
      hour: "2-digit",
      minute: "2-digit",
      hourCycle: "h23",
    })
    formatters.set(zone, formatter)
  }
  return formatter
}

const DAY = 1440
const WEEKDAYS = ["Sun", "Mon", "Tue", "Wed", "Thu", "Fri", "Sat"]
const MONTHS = ["Jan", "Feb", "Mar", "Apr", "May", "Jun", "Jul", "Aug", "Sep", "Oct", "Nov", "Dec"]

/** Minutes by which the zone's clock is ahead of UTC. */
function ahead(minute: number, zone: string): number {
  const fields: Record<string, number> = {}
  for (const part of formatter(zone).formatToParts(minute * 60_000)) fields[part.type] = Number(part.value)
  const { year = 0, month = 1, day = 1, hour = 0, minute: rest = 0 } = fields
  return Math.round(Date.UTC(year, month - 1, day, hour, rest) / 60_000) - Math.floor(minute)
}

// The platform's formatter is slow and a page shows some hundred times: by zone and UTC day, null where the clocks change.
const offsets = new Map<string, number | null>()

function offset(minute: number, zone: string): number {
  const date = Math.floor(minute / DAY)
  const key = `${zone} ${date}`
  let known = offsets.get(key)
  if (known === undefined) {
    const first = ahead(date * DAY, zone)
    known = first === ahead((date + 1) * DAY, zone) ? first : null
    offsets.set(key, known)
  }
  return known ?? ahead(minute, zone)
}

export type Parts = { weekday: string; day: number; month: string; year: number; hour: number; minute: number }

export function parts(minute: number, zone: string): Parts {
  const local = new Date((minute + offset(minute, zone)) * 60_000)
  return {
    weekday: WEEKDAYS[local.getUTCDay()] ?? "",
    day: local.getUTCDate(),
    month: MONTHS[local.getUTCMonth()] ?? "",
    year: local.getUTCFullYear(),
    hour: local.getUTCHours(),
    minute: local.getUTCMinutes(),
  }
}

const two = (value: number) => String(value).padStart(2, "0")

/** "10:40" */
export function clock(minute: number, zone: string): string {
  const { hour, minute: rest } = parts(minute, zone)
  return `${two(hour)}:${two(rest)}`
}

/** "Tue 1 Dec" */
export function day(minute: number, zone: string): string {
  const { weekday, day: date, month } = parts(minute, zone)
  return `${weekday} ${date} ${month}`
}

/** "Tue 1 Dec 15:10" */
export const when = (minute: number, zone: string): string => `${day(minute, zone)} ${clock(minute, zone)}`

/** "15:10" on the day of +now+, else "Tue 15:10", and with the date from a week on. */
export function soon(minute: number, zone: string, now: number): string {
  if (day(minute, zone) === day(now, zone)) return clock(minute, zone)
  return Math.abs(minute - now) < 6 * 1440
    ? `${parts(minute, zone).weekday} ${clock(minute, zone)}`
    : when(minute, zone)
}

/** First minute of the local day, also of one on which the clocks change. */
export function dayStart(minute: number, zone: string): number {
  const { day: date, hour, minute: rest } = parts(minute, zone)
  const guess = minute - hour * 60 - rest
  const clock = parts(guess, zone)
  const off = clock.hour * 60 + clock.minute
  return clock.day === date ? guess - off : guess + 1440 - off
}

/** "45 min", "3 h 05", "4 d 20 h" */
export function duration(minutes: number): string {
  const whole = Math.abs(Math.round(minutes))
  const sign = minutes < 0 ? "− " : ""
  if (whole < 60) return `${sign}${whole} min`
  const hours = Math.floor(whole / 60)
  if (hours < 48) return `${sign}${hours} h ${two(whole % 60)}`
  return `${sign}${Math.floor(hours / 24)} d ${hours % 24} h`
}

/** ISO 8601 in UTC, as the server reads it. */
/** Minute of an instant as it travels to the server; of none, the first. */
export const minuteOf = (instant: string | undefined): number =>
  Math.floor(Date.parse(instant ?? "1970-01-01") / 60_000)

export const iso = (minute: number): string => `${new Date(minute * 60_000).toISOString().slice(0, 16)}Z`

/** Minute at which the zone's clock shows that day and time; NaN where either is none. */
export function minuteAt(day: string, clock: string, zone: string): number {
  const local = Math.floor(Date.parse(`${day}T${clock}Z`) / 60_000)
  if (Number.isNaN(local)) return Number.NaN
  const guess = local - offset(local, zone)
  return local - offset(guess, zone)
}

/** "2026-12-24", as a date field takes it. */
export const isoDay = (minute: number, zone: string): string =>
  new Intl.DateTimeFormat("sv-SE", { timeZone: zone }).format(minute * 60_000)
