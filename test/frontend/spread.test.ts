import { expect, test } from "vitest"
import { spread } from "@/colour/spread"

test("each stands where it would, the first at the edge", () => {
  expect(spread([-20, 100, 300], 600, 18)).toEqual([0, 100, 300])
})

test("what comes close together is pushed on by the least width", () => {
  expect(spread([0, 100, 104, 106, 300], 600, 18)).toEqual([0, 100, 118, 136, 300])
})

test("at the end they are pushed back, so that each keeps its width", () => {
  expect(spread([0, 580, 590, 595], 600, 18)).toEqual([0, 546, 564, 582])
})

test("where there is no room for the least width all are equally wide", () => {
  expect(spread([0, 10, 20, 30], 60, 18)).toEqual([0, 15, 30, 45])
})
