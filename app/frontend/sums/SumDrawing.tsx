import type { ReactNode } from "react"
import { drawing } from "@/components/Broken"
import type { Answer } from "./answer"
import { round } from "./round"
import { Bars, FilmOnWood, FLAKE, Grains, Solution, SPIRIT, Squares } from "./shapes"

/** The answer of a sum: what to read, and the drawing that carries it. */
export const SumDrawing = drawing("The drawing", Drawn)

const solidsAndRule = (n: Answer): [string, string][] => [
  ["Solids", `${round(n.solids_percent, 1)} % by volume`],
  ...(n.rule_lb
    ? [["The rule of thumb says", `${round(n.rule_lb, 2)} lb, ${round(n.off_percent)} % off`] as [string, string]]
    : []),
]

function Drawn({ id, numbers: n }: { id: string; numbers: Answer }) {
  switch (id) {
    case "thin_cut":
      return (
        <Both
          drawing={<Solution flake={n.flake_ml} spirit={n.spirit_ml} added={n.add_spirit_ml} says="add spirit" />}
          figures={[
            n.add_flake_g > 0
              ? ["Add flake", `${round(n.add_flake_g)} g`]
              : ["Add spirit", `${round(n.add_spirit_ml)} ml`],
            ["It makes", `${round(n.solution_ml)} ml`],
            ["of a cut of", `${round(n.lb, 2)} lb, ${round(n.g_per_l)} g/L of spirit`],
            ...solidsAndRule(n),
          ]}
        />
      )
    case "after_adding":
      return (
        <Both
          drawing={<Solution flake={n.flake_ml} spirit={n.spirit_ml} added={n.add_spirit_ml} says="spirit added" />}
          figures={[
            ["It is now a cut of", `${round(n.lb, 2)} lb`],
            ["that is", `${round(n.g_per_l)} g/L of spirit`],
            ["There is", `${round(n.solution_ml)} ml`],
            ...solidsAndRule(n),
          ]}
        />
      )
    case "make_cut":
      return (
        <Both
          drawing={<Solution flake={n.flake_ml} spirit={n.spirit_ml} added={0} says="" />}
          figures={[
            ["Flake", `${round(n.flake_g, 1)} g`],
            ["Spirit", `${round(n.spirit_ml)} ml`],
            ["A cut of", `${round(n.lb, 2)} lb, ${round(n.g_per_l)} g/L of spirit`],
            ["Solids", `${round(n.solids_percent, 1)} % by volume`],
            [
              "Dissolves",
              `${n.dissolving_h.standing.join("–")} h standing, ${n.dissolving_h.crushed[0]} h crushed, ${n.dissolving_h.tumbled[0]} h tumbled`,
            ],
          ]}
        />
      )
    case "thin":
      return (
        <Both
          drawing={
            <Bars
              rows={[
                [
                  `${n.percent} % of the base`,
                  [
                    [n.base_ml, FLAKE],
                    [n.of_base_ml, SPIRIT],
                  ],
                ],
                [
                  `${n.percent} % of the whole`,
                  [
                    [n.base_ml, FLAKE],
                    [n.of_total_ml, SPIRIT],
                  ],
                ],
              ]}
            />
          }
          figures={[
            [
              `${n.percent} % of the base`,
              `${round(n.of_base_ml)} ml, that is ${round(n.same_as_total, 1)} % of the whole`,
            ],
            [
              `${n.percent} % of the whole`,
              `${round(n.of_total_ml)} ml, that is ${round(n.same_as_base, 1)} % of the base`,
            ],
            ...(n.solids_of_base
              ? [
                  ["Solids left", `${round(n.solids_of_base, 1)} % or ${round(n.solids_of_total, 1)} %`] as [
                    string,
                    string,
                  ],
                ]
              : []),
          ]}
        />
      )
    case "share":
      return (
        <Both
          drawing={
            <Bars
              whole
              rows={[
                [
                  "by volume",
                  [
                    [n.base.total_volume, "var(--milk)"],
                    [n.added.total_volume, FLAKE],
                  ],
                ],
                [
                  "by mass",
                  [
                    [n.base.total_mass, "var(--milk)"],
                    [n.added.total_mass, FLAKE],
                  ],
                ],
              ]}
            />
          }
          figures={[
            ["To 100 of base, by volume", round(n.to_100.volume, 2)],
            ["To 100 of base, by mass", round(n.to_100.mass, 2)],
            ["Of the whole, by volume", `${round(n.added.total_volume, 2)} %`],
            ["Of the whole, by mass", `${round(n.added.total_mass, 2)} %`],
          ]}
        />
      )
    case "film":
      return (
        <Both
          drawing={<FilmOnWood wet={n.wet_um} dry={n.dry_um} />}
          figures={[
            ["Used", `${round(n.g_per_m2)} g/m²`],
            ["Wet film", `${round(n.wet_um)} µm, ${round(n.wet_mil, 1)} mil`],
            ["Dry film", `${round(n.dry_um)} µm, ${round(n.dry_mil, 1)} mil`],
          ]}
        />
      )
    case "spread":
      return (
        <Both
          drawing={<Squares all={n.m2_per_l} real={n.real_m2_per_l} />}
          figures={[
            ["A litre covers", `${round(n.m2_per_l, 1)} m² if all of it lands`],
            [`${round(n.landed_percent)} % lands`, `${round(n.real_m2_per_l, 1)} m²/L`],
            ["A US gallon", `${round(n.real_ft2_per_gal)} ft², of ${round(n.ft2_per_gal)}`],
          ]}
        />
      )
    default:
      return (
        <Both
          drawing={<Grains numbers={n} />}
          figures={[
            [n.grit, `${n.mean_um} µm mean grain`],
            ["Nearest on the other scale", `${n.other}, ${n.other_um} µm`],
          ]}
        />
      )
  }
}

function Both({ drawing, figures }: { drawing: ReactNode; figures: [string, string][] }) {
  return (
    <>
      <figure className="sum-drawing">{drawing}</figure>
      <dl className="sum-figures">
        {figures.map(([label, value], index) => (
          <div key={label} data-first={index === 0}>
            <dt>{label}</dt>
            <dd>{value}</dd>
          </div>
        ))}
      </dl>
    </>
  )
}
