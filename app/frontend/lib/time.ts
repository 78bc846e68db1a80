// Instants travel as minutes since 1970 in UTC; a zone only shows them.

const formatters = new Map<string, Intl.DateTimeFormat>()

function formatter(zone: string): Intl.DateTimeFormat {
  let formatter = formatters.get(zone)
  if (!formatter) {
    formatter = new Intl.DateTimeFormat("en-GB", {
      timeZone: zone,
      weekday: "short",
      day: "numeric",
      month: "short",
      year: "numeric",
      hour: "2-digit",
      minute: "2-digit",
      hourCycle: "h23",
    })
    formatters.set(zone, formatter)
  }
  return formatter
}

export type Parts = { weekday: string; day: number; month: string; year: number; hour: number; minute: number }

export function parts(minute: number, zone: string): Parts {
  const fields: Record<string, string> = {}
  for (const part of formatter(zone).formatToParts(minute * 60_000)) fields[part.type] = part.value
  return {
    weekday: fields.weekday ?? "",
    day: Number(fields.day),
    month: (fields.month ?? "").slice(0, 3),
    year: Number(fields.year),
    hour: Number(fields.hour),
    minute: Number(fields.minute),
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
export const iso = (minute: number): string => `${new Date(minute * 60_000).toISOString().slice(0, 16)}Z`
