import { expect, test } from "vitest"
import { clock, dayStart, duration, soon, when } from "@/lib/time"

const NOW = Date.UTC(2026, 10, 23, 9, 40) / 60_000

test("instants are shown in the shop's zone", () => {
  expect(when(NOW, "Europe/Berlin")).toBe("Mon 23 Nov 10:40")
  expect(clock(Date.UTC(2026, 6, 1, 9, 40) / 60_000, "Europe/Berlin")).toBe("11:40")
  expect(dayStart(NOW, "Europe/Berlin")).toBe(NOW - 640)
})

test("near times are short", () => {
  expect(soon(NOW + 60, "Europe/Berlin", NOW)).toBe("11:40")
  expect(soon(NOW + 1440, "Europe/Berlin", NOW)).toBe("Tue 10:40")
  expect(soon(NOW + 20 * 1440, "Europe/Berlin", NOW)).toBe("Sun 13 Dec 10:40")
})

test("durations in words", () => {
  expect([45, 185, 7000, -30].map(duration)).toEqual(["45 min", "3 h 05", "4 d 20 h", "− 30 min"])
})

// Clocks go forward on 29 March 2026 and back on 25 October: those days have 23 and 25 hours.
test("a day begins at midnight also when the clocks change", () => {
  const at = (month: number, date: number, hour: number) => Date.UTC(2026, month, date, hour) / 60_000
  expect(dayStart(at(2, 29, 10), "Europe/Berlin")).toBe(at(2, 28, 23))
  expect(dayStart(at(9, 25, 10), "Europe/Berlin")).toBe(at(9, 24, 22))
  expect(dayStart(at(2, 29, 0), "Europe/Berlin")).toBe(at(2, 28, 23))
  expect(dayStart(at(9, 25, 23), "Europe/Berlin")).toBe(at(9, 25, 23))
})

// Lord Howe changes by half an hour; Apia and Kathmandu are far from UTC and off the hour.
test("every hour of a year is shown as the platform shows it", () => {
  for (const zone of ["Europe/Berlin", "America/New_York", "Australia/Lord_Howe", "Pacific/Apia", "Asia/Kathmandu"]) {
    const told = new Intl.DateTimeFormat("en-GB", {
      timeZone: zone,
      weekday: "short",
      day: "numeric",
      month: "short",
      hour: "2-digit",
      minute: "2-digit",
      hourCycle: "h23",
    })
    const plain = (minute: number) =>
      told
        .format(minute * 60_000)
        .replace(/,/g, "")
        .replace("Sept", "Sep")
    const start = Date.UTC(2026, 0, 1, 0, 7) / 60_000
    for (let minute = start; minute < start + 365 * 1440; minute += 90) {
      expect(when(minute, zone)).toBe(plain(minute))
    }
  }
})
