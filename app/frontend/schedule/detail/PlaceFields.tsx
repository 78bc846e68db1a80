import { SelectField } from "@/components/Field"
import type { Sheet, Step } from "@/types"
import type { StepFieldsProps } from "./stepProps"

export const SUPPORTS: [string, string][] = [
  ["flat", "flat, turned when it can be handled"],
  ["points", "on points, turned at once"],
  ["hung", "hung, all faces at once"],
  ["fixed", "fixed, nothing is turned"],
]
const PATTERNS: [string, string][] = [
  ["", "as usual"],
  ["with_grain", "with the grain"],
  ["crossing", "two crossing passes"],
  ["edges_first", "edges first"],
  ["moving_start", "round work, the start moves on by a mark"],
  ["cut_in", "cut in, then the field"],
]

type Props = StepFieldsProps & { sheet: Sheet; edges: string[] }

/**
 * How a step is worked and where its film dries: what the schedule says for all steps, unless this one says otherwise.
 */
export function PlaceFields({ step, sheet, rooms, faces, edges, homeRoom, onSet, error }: Props) {
  const { document } = sheet
  const caught = edges.filter((edge) => !(step.faces ?? faces).includes(edge))
  const guns = sheet.tools.filter((tool) => tool.for === step.method && (!tool.away || tool.id === step.tool))
  return (
    <>
      <SelectField
        label="Pattern"
        value={step.pattern ?? ""}
        options={PATTERNS}
        onChange={(pattern) => onSet({ pattern: (pattern || null) as Step["pattern"] | null })}
      />
      {rooms.length > 1 && (
        <SelectField
          label="Dries in"
          value={step.dry_room ?? ""}
          error={error("dry_room")}
          options={[
            [
              "",
              document.dry_room
                ? `${document.dry_room}, as the schedule`
                : `where it is laid on, ${step.room ?? homeRoom}`,
            ],
            ...rooms.map((room): [string, string] => [room.name, room.name]),
          ]}
          onChange={(room) => onSet({ dry_room: room || null })}
        />
      )}
      {faces.length > 1 && (
        <SelectField
          label="Lies"
          value={step.support ?? ""}
          options={[["", `as the schedule, ${document.support ?? sheet.support}`], ...SUPPORTS]}
          onChange={(support) => onSet({ support: (support || null) as Step["support"] | null })}
        />
      )}
      {guns.length > 1 && (
        <SelectField
          label="With"
          value={step.tool ?? ""}
          error={error("tool")}
          options={[["", "whichever is free"], ...guns.map((tool): [string, string] => [tool.id, tool.id])]}
          onChange={(tool) => onSet({ tool: tool || null })}
        />
      )}
      {caught.length > 0 && (
        <fieldset>
          <legend className="text-label">Masked, so that they catch none of it</legend>
          {caught.map((edge) => (
            <label key={edge} className="ui-check">
              <input
                type="checkbox"
                checked={step.mask?.includes(edge) ?? false}
                onChange={(event) => {
                  const others = (step.mask ?? []).filter((name) => name !== edge)
                  const next = event.target.checked ? [...others, edge] : others
                  onSet({ mask: next.length ? next : null })
                }}
              />
              {edge}
            </label>
          ))}
        </fieldset>
      )}
    </>
  )
}
