type FieldOf = { name: string; label: string; first: string; hint?: string; options?: [string, string][] }
export type Sum = { id: string; title: string; asks: string; fields: FieldOf[]; text: string }

/** The questions, with what stands in their fields at first and where the handbook explains them. */
export const SUMS: Sum[] = [
  {
    id: "thin_cut",
    title: "Let a cut down",
    asks: "How much spirit brings this shellac to a weaker cut, or flake to a stronger one?",
    fields: [
      { name: "stock", label: "It is a", first: "2 lb", hint: "2 lb, 2#, 240 g/l, 1:4, 20 %" },
      { name: "amount", label: "There is", first: "250 ml", hint: "250 ml, 8 fl oz, or its weight: 9 oz" },
      { name: "to", label: "It should be", first: "1 lb" },
      { name: "water", label: "Water in the spirit, %", first: "1" },
    ],
    text: "/handbook/cuts#thin",
  },
  {
    id: "after_adding",
    title: "Spirit was added",
    asks: "Spirit went into this shellac: what cut is it now?",
    fields: [
      { name: "stock", label: "It was a", first: "2 lb", hint: "2 lb, 2#, 240 g/l, 1:4, 20 %" },
      { name: "amount", label: "There was", first: "250 ml", hint: "250 ml, 8 fl oz, or its weight: 9 oz" },
      { name: "add", label: "Spirit added", first: "3 fl oz", hint: "3 fl oz, 90 ml" },
      { name: "water", label: "Water in the spirit, %", first: "1" },
    ],
    text: "/handbook/cuts#thin",
  },
  {
    id: "make_cut",
    title: "Make a cut",
    asks: "How much flake and spirit make this much?",
    fields: [
      { name: "amount", label: "Amount", first: "500 ml", hint: "500 ml, 1 pt, 2 oz of flake" },
      {
        name: "of",
        label: "That is",
        first: "solution",
        options: [
          ["solution", "the solution wanted"],
          ["flake", "the flake there is"],
          ["spirit", "the spirit there is"],
        ],
      },
      { name: "cut", label: "as a", first: "2 lb", hint: "2 lb, 2#, ½ lb, 240 g/l, 1:4, 20 %" },
      { name: "water", label: "Water in the spirit, %", first: "1" },
    ],
    text: "/handbook/cuts#cut",
  },
  {
    id: "thin",
    title: "Thin by per cent",
    asks: "Per cent of the base, or of the whole?",
    fields: [
      { name: "amount", label: "Base", first: "1 l" },
      { name: "percent", label: "Thinner, %", first: "30" },
      { name: "solids", label: "Solids of the base, % by volume", first: "34" },
    ],
    text: "/handbook/mixing#thinning",
  },
  {
    id: "share",
    title: "Volume to weight",
    asks: "What is this ratio on a scale?",
    fields: [
      { name: "base_parts", label: "Base, parts", first: "100" },
      { name: "base_density", label: "its density, g/ml", first: "1.04" },
      { name: "added_parts", label: "Added, parts", first: "10" },
      { name: "added_density", label: "its density, g/ml", first: "1.12" },
      {
        name: "basis",
        label: "The parts are by",
        first: "volume",
        options: [
          ["volume", "volume"],
          ["mass", "mass"],
        ],
      },
    ],
    text: "/handbook/mixing#share",
  },
  {
    id: "film",
    title: "Film from the pot",
    asks: "How thick is what I laid on?",
    fields: [
      { name: "used", label: "Used from the pot", first: "180 g" },
      { name: "density", label: "Density, g/ml", first: "1.04" },
      { name: "area", label: "on", first: "1.2 m²", hint: "1.2 m² or 13 ft²" },
      { name: "landed", label: "of which landed, %", first: "70" },
      { name: "solids", label: "Solids, % by volume", first: "34" },
    ],
    text: "/handbook/film#film",
  },
  {
    id: "spread",
    title: "Area to the litre",
    asks: "How far does a litre go?",
    fields: [
      { name: "film", label: "Wet film", first: "100 µm", hint: "100 µm, 4 mil, 120 g/m², 9 m²/L" },
      { name: "density", label: "Density, g/ml", first: "1.04" },
      {
        name: "method",
        label: "Laid on by",
        first: "spray",
        options: [
          ["brush", "brush"],
          ["roller", "roller"],
          ["pad", "pad"],
          ["wipe", "cloth"],
          ["spray", "gun"],
        ],
      },
      {
        name: "gun",
        label: "Gun",
        first: "turbine",
        options: [
          ["turbine", "turbine"],
          ["conventional", "conventional"],
          ["airless", "airless"],
          ["air_assisted", "air-assisted airless"],
          ["aerosol", "aerosol"],
        ],
      },
    ],
    text: "/handbook/film#spread",
  },
  {
    id: "grit",
    title: "Two scales of grit",
    asks: "What is P320 without the P, and 320 with it?",
    fields: [{ name: "grit", label: "Grit", first: "P320", hint: "P320, or 320 without a prefix" }],
    text: "/handbook/abrasives#grit",
  },
]
