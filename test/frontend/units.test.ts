import { expect, test } from "vitest"
import { MEASURES, mass, roughMass, volume } from "@/lib/units"

test("amounts are rounded once, and then said in the larger unit", () => {
  expect([380, 999.4, 999.6, 4800].map((grams) => roughMass(grams, "metric"))).toEqual([
    "380 g",
    "999 g",
    "1.0 kg",
    "4.8 kg",
  ])
  expect([453.59237 * 2, 453.59237 * 1.9].map((grams) => roughMass(grams, "us"))).toEqual(["2.0 lb", "30.4 oz"])
  expect([1999.4, 1999.6].map((ml) => volume(ml, "metric"))).toEqual(["1999 ml", "2.0 L"])
  expect(mass(472.74, "metric", 0.1)).toBe("472.7 g")
})

// 25.4 µm are a mil, 0.09290304 m² a square foot; 20 °C are 68 °F.
test("film, area and temperature each have a switch of their own", () => {
  const { um, mil, m2, ft2, celsius, fahrenheit } = MEASURES
  expect([um.text(100), mil.text(100), mil.text(27.2, 1)]).toEqual(["100 µm", "3.9 mil", "1.07 mil"])
  expect([m2.text(1.2), ft2.text(1.2), ft2.text(110)]).toEqual(["1.2 m²", "13 ft²", "1184 ft²"])
  expect([celsius.text(18.5), fahrenheit.text(18.5), fahrenheit.text(-40)]).toEqual(["18.5 °C", "65 °F", "-40 °F"])
  expect(mil.stored(4)).toBeCloseTo(101.6)
  expect(ft2.stored(13)).toBeCloseTo(1.2077, 4)
  expect(fahrenheit.stored(68)).toBeCloseTo(20)
})
