import { SelectField } from "@/components/Field"
import { Panel } from "@/components/Panel"
import type { Operation, ScheduleDocument } from "@/types"
import { GROUPS, SCHOOLS, type School } from "@/types/schools"
import { SUPPORTS } from "./detail/PlaceFields"

/** What is kept of a choice: numbers as numbers, no choice as none. */
export const ruleValue = (rule: School, value: string) => (rule.number ? (value ? Number(value) : null) : value)

/** The rules of some schools by what they are about, each with why its default is the default. */
export function RuleFields({
  rules,
  value,
  onChange,
}: {
  rules: School[]
  value: (rule: School) => string
  onChange: (rule: School, value: string) => void
}) {
  return Object.entries(GROUPS).map(([group, name]) => (
    <fieldset key={group} className="rule-group">
      <legend className="text-head">{name}</legend>
      {rules
        .filter((rule) => rule.group === group)
        .map((rule) => (
          <div key={rule.name}>
            <SelectField
              label={rule.label}
              value={value(rule)}
              options={rule.options}
              onChange={(next) => onChange(rule, next)}
            />
            <p className="text-second text-fine mt-1">{rule.why}</p>
          </div>
        ))}
    </fieldset>
  ))
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
  const own: Record<string, unknown> = document.house ?? {}
  return (
    <Panel title="House rules of this schedule" open={open} onOpenChange={onOpenChange} wide>
      <div className="mt-4 grid gap-5">
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
        <RuleFields
          rules={SCHOOLS.filter((rule) => !rule.shop)}
          value={(rule) => String(own[rule.name] ?? house[rule.name] ?? "")}
          onChange={(rule, value) => onEdit({ op: "house", set: { [rule.name]: ruleValue(rule, value) } })}
        />
      </div>
    </Panel>
  )
}
