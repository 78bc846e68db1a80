import { useState } from "react"
import { speciesOf } from "@/drawing/woodBitmap"
import { send as request } from "@/lib/api"
import { useSend } from "@/lib/requests"
import type { Timber, WoodFact } from "@/types"
import { WOODS } from "@/types/woods"
import { ErrorText } from "./ErrorText"
import { SelectField, TextField } from "./Field"
import { Panel } from "./Panel"

const FACTS: Record<WoodFact, [string, string]> = {
  tannin: ["holds tannin", "no tannin"],
  knots: ["knotty", "no knots"],
  oily: ["oily", "not oily"],
  spots: ["blotches", "takes stain evenly"],
  silica: ["holds silica", "no silica"],
}
const NAMES = Object.keys(FACTS) as WoodFact[]

const says = (facts: Timber["facts"]) =>
  NAMES.filter((fact) => facts[fact] !== undefined)
    .map((fact) => FACTS[fact][facts[fact] ? 0 : 1])
    .join(", ")

type Props = {
  wood: string
  like: string
  value: number | null
  timbers: Timber[]
  error?: string
  onChange: (id: number | null) => void
}

/** Which batch of timber it is of, where that batch is unlike its kind: checks go by what is said here. */
export function TimberField({ wood, like, value, timbers, error, onChange }: Props) {
  const [all, setAll] = useState(timbers)
  const [asked, setAsked] = useState<Timber | "new" | null>(null)
  const species = speciesOf(wood) ?? (like || null)
  const kind = species ? WOODS[species] : undefined
  if (!species || !kind) return null
  const mine = all.filter((timber) => speciesOf(timber.wood) === species)
  const chosen = mine.find((timber) => timber.id === value)
  const usual = kind.facts.map((fact) => FACTS[fact][0]).join(", ") || "nothing special"
  return (
    <div>
      <SelectField
        label="Batch of timber"
        value={chosen ? String(chosen.id) : ""}
        onChange={(id) => onChange(id ? Number(id) : null)}
        options={[
          ["", `as ${species} is: ${usual}`],
          ...mine.map((timber): [string, string] => [String(timber.id), `${timber.name}: ${says(timber.facts)}`]),
        ]}
        error={error}
      />
      <button type="button" className="text-button" onClick={() => setAsked(chosen ?? "new")}>
        {chosen ? "Change what is known of it" : "A batch unlike its kind"}
      </button>
      {asked && (
        <TimberPanel
          timber={asked === "new" ? null : asked}
          species={species}
          usual={kind.facts}
          onKept={(id, kept) => {
            setAll(kept)
            onChange(id)
            setAsked(null)
          }}
          onClose={() => setAsked(null)}
        />
      )}
    </div>
  )
}

type PanelProps = {
  timber: Timber | null
  species: string
  usual: WoodFact[]
  onKept: (id: number, timbers: Timber[]) => void
  onClose: () => void
}

function TimberPanel({ timber, species, usual, onKept, onClose }: PanelProps) {
  const [name, setName] = useState(timber?.name ?? "")
  const [facts, setFacts] = useState<Timber["facts"]>(timber?.facts ?? {})
  const [words, setWords] = useState(timber?.words ?? "")
  const { send, error } = useSend()
  const at = (field: string) => (error?.where === field ? error.sentence : undefined)
  const keep = () =>
    void send(
      () =>
        request<{ id: number; timbers: Timber[] }>(
          timber ? "PATCH" : "POST",
          timber ? `/timbers/${timber.id}` : "/timbers",
          { name, wood: timber?.wood ?? species, facts, words },
        ),
      ({ id, timbers }) => onKept(id, timbers),
    )
  const set = (fact: WoodFact, said: string) => {
    const { [fact]: _, ...others } = facts
    setFacts(said === "" ? others : { ...others, [fact]: said === "yes" })
  }
  return (
    <Panel
      title={timber ? timber.name : `A batch of ${species} unlike its kind`}
      open
      onOpenChange={(open) => !open && onClose()}
      action={
        <button type="button" className="ui-tape" onClick={keep}>
          Keep the batch
        </button>
      }
    >
      <div className="mt-4 grid gap-4 sm:grid-cols-2">
        <TextField label="Name of the batch" value={name} onChange={setName} error={at("name")} />
        <TextField label="How you know" value={words} onChange={setWords} error={at("words")} />
        {NAMES.map((fact) => (
          <SelectField
            key={fact}
            label={FACTS[fact][0].charAt(0).toUpperCase() + FACTS[fact][0].slice(1)}
            value={facts[fact] === undefined ? "" : facts[fact] ? "yes" : "no"}
            onChange={(said) => set(fact, said)}
            options={[
              ["", `as ${species} is: ${usual.includes(fact) ? "yes" : "no"}`],
              ["yes", "yes"],
              ["no", "no"],
            ]}
          />
        ))}
      </div>
      <ErrorText reason={error && !["name", "words"].includes(error.where) ? error : null} />
    </Panel>
  )
}
