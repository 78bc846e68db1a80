import { describe, expect, test } from "vitest"
import { besideField } from "@/schedule/beside"
import { freeId, offered } from "@/schedule/words"
import type { ShelfItem, Step } from "@/types"

const item = (
  id: string,
  fits: Record<string, string[]>,
  wet_um: Record<string, number> = {},
  retired = false,
): ShelfItem => ({
  id,
  name: id,
  role: "",
  mechanism: "",
  fits,
  retired,
  wet_um,
  cut_lb_per_gal: null,
  solids_volume_percent: null,
  estimate: true,
  fills: "slurry",
  tints: [],
})
const shelf = [
  item("old", { coat: ["spray"] }, { spray: 80 }, true),
  item("wax", {}),
  item("dye", { stain: ["wipe", "spray"] }),
  item("clear", { coat: ["brush", "spray"] }, { brush: 90, spray: 100 }),
]

describe("a step", () => {
  test("offers a retired product only where the step names it", () => {
    expect(offered(shelf, "coat").map((one) => one.id)).toEqual(["clear"])
    expect(offered(shelf, "coat", "old").map((one) => one.id)).toEqual(["old", "clear"])
  })

  test("gets an id that no step has", () => {
    const steps = [{ id: "s2" }, { id: "s10" }, { id: "rub" }] as Step[]
    expect(freeId(steps)).toBe("s11")
    expect(freeId([])).toBe("s1")
  })
})

describe("a refusal is said", () => {
  const steps: Step[] = [
    { id: "s1", kind: "sand", grits: ["P150"] },
    { id: "s2", kind: "coat" },
  ]
  const error = (where: string) => ({ sentence: "No.", where })

  test("beside the field of the selected step, by id or by place", () => {
    expect(besideField(error("steps/s2/wet_um"), steps[1], steps)).toBe("wet_um")
    expect(besideField(error("steps/1/coats"), steps[1], steps)).toBe("coats")
    expect(besideField(error("steps/1/pins/0/start"), steps[1], steps)).toBe("start")
  })

  test("above everything when another step is selected or no field shows it", () => {
    expect(besideField(error("steps/s2/wet_um"), steps[0], steps)).toBeNull()
    expect(besideField(error("steps/s2"), steps[1], steps)).toBeNull()
    expect(besideField(error("op"), steps[1], steps)).toBeNull()
    expect(besideField(error("steps/s2/colour"), steps[1], steps)).toBeNull()
  })
})
