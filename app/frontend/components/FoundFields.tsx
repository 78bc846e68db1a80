import { useState } from "react"
import type { Found } from "@/types"
import { SelectField, TextField } from "./Field"

type Props = {
  found: Found | null
  /** Products that leave a film: id and name. */
  coats: [string, string][]
  error?: string
  onChange: (found: Found | null) => void
}

const IS: [string, string][] = [
  ["bare", "bare wood"],
  ["coated", "somebody's coat"],
  ["unknown", "unknown finish"],
  ["stripped", "stripped"],
]
const SURFACE: [string, string][] = [
  ["", "sanded, or not said"],
  ["rough_sawn", "rough-sawn"],
  ["planer_marks", "planer marks"],
  ["planed", "planed or scraped"],
  ["mdf_face", "MDF face"],
  ["mdf_edge", "MDF edge"],
]
const STATE: [string, string][] = [
  ["sound", "sound"],
  ["worn", "worn through"],
  ["flaking", "flaking"],
]
const FAMILY: [string, string][] = [
  ["", "not tested"],
  ["shellac", "spirit: shellac"],
  ["lacquer", "lacquer solvent: lacquer"],
  ["waterborne", "xylene: waterborne"],
  ["cross_linked", "nothing: cross-linked"],
]

/** What was there before the schedule begins; each answer brings only the questions that it leaves open. */
export function FoundFields({ found, coats, error, onChange }: Props) {
  const is = found?.is ?? "bare"
  const set = (change: Partial<Found>) => {
    const said = { ...(found ?? { is: "bare" }), ...change }
    onChange(said.is === "bare" && !said.surface && !said.lab ? null : said)
  }
  return (
    <>
      <SelectField
        label="Found"
        value={is}
        error={error}
        options={IS}
        onChange={(value) => onChange(value === "bare" ? null : fresh(value as Found["is"], coats))}
      />
      {is === "bare" && (
        <SelectField
          label="Its surface"
          value={found?.surface ?? ""}
          options={SURFACE}
          onChange={(surface) => set({ surface: surface || undefined })}
        />
      )}
      {is === "coated" && (
        <SelectField
          label="With"
          value={found?.product ?? ""}
          options={coats}
          onChange={(product) => set({ product })}
        />
      )}
      {is === "unknown" && (
        <SelectField
          label="Softened by"
          value={found?.family ?? ""}
          options={FAMILY}
          onChange={(family) => set({ family: family || undefined })}
        />
      )}
      {(is === "coated" || is === "unknown") && (
        <>
          <TextField
            label="Coats, counted"
            value={String(found?.coats ?? "")}
            onChange={(coats) => set({ coats: whole(coats) })}
          />
          <TextField
            label="Film measured, µm"
            value={String(found?.um ?? "")}
            onChange={(um) => set({ um: whole(um) })}
          />
          <SelectField
            label="Its state"
            value={found?.state ?? "sound"}
            options={STATE}
            onChange={(state) => set({ state })}
          />
        </>
      )}
      {is === "stripped" && (
        <SelectField
          label="Colour in the pores"
          value={found?.colour_left ? "yes" : "no"}
          options={[
            ["no", "gone"],
            ["yes", "left in them"],
          ]}
          onChange={(left) => set({ colour_left: left === "yes" })}
        />
      )}
      <LabField lab={found?.lab} onChange={(lab) => set({ lab })} />
    </>
  )
}

/** What the face reads as it was found; three numbers, or as it was typed where they are not. */
function LabField({ lab, onChange }: { lab: Found["lab"]; onChange: (lab: Found["lab"]) => void }) {
  const [typed, setTyped] = useState(Array.isArray(lab) ? lab.join(" ") : (lab ?? ""))
  return (
    <TextField
      label="Reads as L* a* b*"
      placeholder="64.5 8.0 21.5"
      value={typed}
      onChange={(text) => {
        setTyped(text)
        const numbers = (text.replaceAll(",", ".").match(/-?\d+(\.\d+)?/g) ?? []).map(Number)
        onChange(text.trim() === "" ? undefined : numbers.length === 3 ? numbers : text)
      }}
    />
  )
}

const fresh = (is: Found["is"], coats: [string, string][]): Found => {
  if (is === "coated") return { is, product: coats[0]?.[0], coats: 1, state: "sound" }
  return is === "unknown" ? { is, coats: 2, state: "sound" } : { is }
}

/** A number, or nothing where none is typed; what is no number is sent as it is and refused with a sentence. */
const whole = (typed: string): number | undefined => {
  const text = typed.trim().replace(",", ".")
  if (text === "") return undefined
  const number = Number(text)
  return Number.isNaN(number) ? (text as unknown as number) : number
}
