import { SelectField } from "@/components/Field"
import { Panel } from "@/components/Panel"
import type { Operation, ScheduleDocument } from "@/types"
import { SUPPORTS } from "./detail/PlaceFields"

export type Rule = {
  name:
    | "scuff"
    | "missed_window"
    | "rub_out"
    | "measure"
    | "blotch"
    | "build"
    | "barrier"
    | "sides"
    | "tape"
    | "coats_a_day"
  label: string
  options: [string, string][]
  why: string
}

export const RULES: Rule[] = [
  {
    name: "scuff",
    label: "Scuff between coats that meet their window",
    options: [
      ["none", "none"],
      ["after_a_night", "after a night"],
      ["always", "always"],
    ],
    why: "Inside its window a coat bonds by itself; a scuff then only costs hands and film. Some shops scuff every time, for nibs as much as for bond.",
  },
  {
    name: "missed_window",
    label: "When a window is missed",
    options: [
      ["scuff", "scuff, and go on"],
      ["stop", "stop and ask"],
    ],
    why: "A scuff brings the bond back on every film that does not re-dissolve, so the plan puts one in and says so.",
  },
  {
    name: "rub_out",
    label: "Waiting before the rub-out",
    options: [
      ["cautious", "cautious, 1.5 times the sheet"],
      ["usual", "usual, as on the sheet"],
      ["brisk", "brisk, 0.7 times the sheet"],
    ],
    why: "Too soon sinks back later, too late is hard work. Where the time is an estimate it is never less than 72 h; what a sheet says holds.",
  },
  {
    name: "measure",
    label: "Mixes are measured",
    options: [
      ["mass", "by weight"],
      ["volume", "by volume"],
    ],
    why: "A scale tells one part in a thousand, a cup one in ten. By volume needs no densities, and no scale.",
  },
  {
    name: "blotch",
    label: "Against blotches, first offer",
    options: [
      ["finer", "finer sanding"],
      ["washcoat", "a washcoat"],
      ["gel", "a gel stain"],
    ],
    why: "Finer sanding needs nothing but a sheet of paper. A washcoat evens more, and costs depth and a coat. A gel stain hardly sinks in, and hides more of the wood.",
  },
  {
    name: "build",
    label: "Films are built in",
    options: [
      ["gloss", "gloss, the last coat flatted"],
      ["satin", "satin throughout"],
    ],
    why: "Flatted coats upon each other cloud the depth, on dark wood most. Satin throughout saves a can, and some like its softness.",
  },
  {
    name: "barrier",
    label: "Put in between what does not get on",
    options: [
      ["shellac", "dewaxed shellac"],
      ["vinyl", "vinyl sealer"],
      ["blocker", "a waterborne blocker"],
    ],
    why: "Dewaxed shellac holds on almost everything and under it. Vinyl suits lacquer shops; a blocker has no solvent. Where yours does not hold on both, shellac is offered.",
  },
  {
    name: "sides",
    label: "Wide panels are coated on",
    options: [
      ["both", "both sides"],
      ["show", "the show side only"],
    ],
    why: "Film on one side only lets damp in on the other, and a free panel cups. Fixed panels and sheet goods do not mind.",
  },
  {
    name: "tape",
    label: "Tape comes off",
    options: [
      ["touch", "at touch"],
      ["scored", "after cure, scored"],
    ],
    why: "Soft film lets tape go clean; hard film tears along it unless it is scored. Scoring needs a steady hand and leaves a sharper line.",
  },
  {
    name: "coats_a_day",
    label: "Coats of one step on a day",
    options: [
      ["", "as many as dry in time"],
      ["1", "one at most"],
      ["2", "two at most"],
      ["3", "three at most"],
    ],
    why: "Windows and drying times say how many fit. Some hands stop at two a day: solvent and water need the night to leave a thick film.",
  },
]

/** What is kept of a choice: numbers as numbers, no choice as none. */
export const ruleValue = (name: Rule["name"], value: string) =>
  name === "coats_a_day" ? (value ? Number(value) : null) : value

/** One switch with why its default is the default. */
export function RuleField({
  rule,
  value,
  onChange,
}: {
  rule: Omit<Rule, "name">
  value: string
  onChange: (value: string) => void
}) {
  return (
    <div>
      <SelectField label={rule.label} value={value} options={rule.options} onChange={onChange} />
      <p className="text-second text-fine mt-1">{rule.why}</p>
    </div>
  )
}

type Props = {
  document: ScheduleDocument
  /** What the shop does unless the schedule says otherwise. */
  house: Record<string, string>
  /** How the piece lies unless the schedule says otherwise. */
  support: string
  onEdit: (operation: Operation) => void
  open: boolean
  onOpenChange: (open: boolean) => void
}

/** Where finishers disagree: switches for this schedule; left alone they follow the shop's. */
export function HouseRules({ document, house, support, onEdit, open, onOpenChange }: Props) {
  return (
    <Panel title="House rules of this schedule" open={open} onOpenChange={onOpenChange} wide>
      <div className="mt-4 grid gap-5 lg:grid-cols-2">
        <div>
          <SelectField
            label="Wet work lies"
            value={document.support ?? ""}
            options={[["", `by the piece: ${support}`], ...SUPPORTS]}
            onChange={(next) =>
              onEdit({ op: "place", set: { support: (next || null) as ScheduleDocument["support"] | null } })
            }
          />
          <p className="text-second text-fine mt-1">
            Flat, on points and fixed each face is laid on by itself, and edges with the first; only flat work waits
            until it can be turned over. Hung work is done all round in one pass.
          </p>
        </div>
        {RULES.map((rule) => (
          <RuleField
            key={rule.name}
            rule={rule}
            value={String(document.house?.[rule.name] ?? house[rule.name] ?? "")}
            onChange={(value) => onEdit({ op: "house", set: { [rule.name]: ruleValue(rule.name, value) } })}
          />
        ))}
      </div>
    </Panel>
  )
}
