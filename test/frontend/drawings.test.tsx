// @vitest-environment jsdom
import { cleanup, render } from "@testing-library/react"
import { afterEach, describe, expect, test } from "vitest"
import { figures } from "@/compare/figures"
import type { Axis } from "@/drawing/axis"
import type { Measure } from "@/lib/units"
import { Places } from "@/plan/Places"
import { AirDrawing } from "@/shop/AirDrawing"
import { round } from "@/sums/round"
import type { ShopPlan, Side, SideChance } from "@/types"
import { NOW } from "./support/bench"

afterEach(cleanup)

const axis = { x: (minute: number) => minute - NOW, width: 600 } as Axis

describe("the rooms of the shop plan", () => {
  const plan = (place: Partial<ShopPlan["places"][number]>) =>
    ({
      zone: "Etc/UTC",
      last: NOW + 500,
      places: [
        {
          room: "loft",
          uses: [],
          wet: [],
          dusty: [],
          lying: [],
          rack_places: null,
          ...place,
        } as ShopPlan["places"][number],
      ],
    }) as unknown as ShopPlan
  const drawn = (place: Partial<ShopPlan["places"][number]>) =>
    render(
      <svg>
        <title>rooms</title>
        <Places plan={plan(place)} axis={axis} y={0} />
      </svg>,
    ).container

  // Four of eight places from minute 100, none from 300: half the rack's height of 22 above the line at 28.
  test("the rack fills and empties in steps under its brim", () => {
    const rack = drawn({
      rack_places: 8,
      lying: [
        [NOW + 100, 4],
        [NOW + 300, 0],
      ],
    })
    expect([...rack.querySelectorAll("path")].map((path) => path.getAttribute("d"))).toContain(
      "M100,17L300,17L300,28L500,28L500,28L500,28L500,28L300,28L300,28L100,28Z",
    )
    expect(rack.textContent).toContain("4 of 8 places")
  })

  test("dust and wet films lie where their time is, never too narrow to see", () => {
    const room = drawn({ dusty: [[NOW + 10, NOW + 11]], wet: [[NOW + 50, NOW + 90]] })
    expect(room.querySelector("rect")?.getAttribute("width")).toBe("2")
    expect(room.textContent).toContain("Dust in the loft until Mon 23 Nov 09:11")
    expect(room.textContent).toContain("Wet in the loft until Mon 23 Nov 10:30")
  })
})

describe("the air of a room", () => {
  const air = (from: number, t_c: number, rh: number) => ({ from, t_c, rh, air: "ordinary" })

  test("is a line in steps, warm above cold, over the whole width", () => {
    const { container } = render(
      <AirDrawing
        line={[air(NOW, 20, 50), air(NOW + 720, 12, 60)]}
        from={NOW}
        to={NOW + 1440}
        now={NOW + 60}
        zone="Etc/UTC"
        name="loft"
      />,
    )
    const warm = [...container.querySelectorAll("path")].find((path) => path.getAttribute("stroke") === "var(--resin)")
    // 10 to 22 °C over 74 px: 20 °C lies at 96 - 74 · 10 / 12 = 34.3, 12 °C at 83.7.
    expect(warm?.getAttribute("d")).toBe("M0,34.3L280,34.3L280,83.7L560,83.7L560,83.7")
    expect(container.querySelector("svg")?.getAttribute("aria-label")).toBe("Air of loft: 20 °C, 50 % now")
  })
})

describe("figures of schedules side by side", () => {
  const film = { text: (um: number) => `${um} µm` } as Measure
  const side = (more: Partial<Side>) =>
    ({
      ready_at: NOW + 1440,
      cured_at: null,
      coats: 3,
      sessions: 2,
      hands_min: 125,
      elapsed_min: 1440,
      film_um: 60,
      litres: 0.5,
      cost: null,
      voc_g: null,
      pores: "open",
      pores_filled: 0.2,
      sheen_gu: null,
      scuffs: 0,
      findings: [],
      ...more,
    }) as unknown as Side

  test("the sooner is the better, and what is open is said to be open", () => {
    const ready = (sides: Side[]) => figures(sides, null, "Etc/UTC", "EUR", film).find((row) => row.label === "ready")
    const two = [side({}), side({ ready_at: NOW + 720 })]
    expect(ready(two)).toMatchObject({ values: ["Tue 24 Nov 09:00", "Mon 23 Nov 21:00"], best: 1 })
    expect(ready([...two, side({ ready_at: null })])).toMatchObject({ best: null })
    expect(ready([side({ ready_at: null })])?.values).toEqual(["open"])
    const rows = figures(two, null, "Etc/UTC", "EUR", film)
    expect(rows.find((row) => row.label === "hands-on")?.values[0]).toBe("2 h 05")
  })

  test("chances come behind the page: until then their rows say so", () => {
    const sides = [side({ key: "head" }), side({ key: "method:wipe" })]
    const told = (chances: SideChance[] | null) => {
      const known = chances && new Map(chances.map((chance) => [chance.key, chance]))
      const rows = figures(sides, known, "Etc/UTC", "EUR", film)
      return ["in time", "likely, 10 to 90 %"].map((label) => rows.find((row) => row.label === label))
    }
    expect(told(null).map((row) => row?.values)).toEqual([
      ["…", "…"],
      ["…", "…"],
    ])
    const [inTime, likely] = told([
      { key: "head", in_time: 0.4, dates: [NOW, NOW + 60, NOW + 120] },
      { key: "method:wipe", in_time: 0.9, dates: [] },
    ])
    expect(inTime).toMatchObject({ values: ["40 in 100", "90 in 100"], best: 1 })
    expect(likely?.values).toEqual(["Mon 23 Nov 09:00 to Mon 23 Nov 11:00", "open"])
  })
})

test("a number to read has no decimals that say nothing", () => {
  expect([round(1234.4), round(2), round(2.25), round(2.25, 2), round(0.5), round(10.04, 1)]).toEqual([
    "1234",
    "2",
    "2.3",
    "2.25",
    "0.5",
    "10",
  ])
})
