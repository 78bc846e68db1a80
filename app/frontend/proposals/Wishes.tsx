import { Switch } from "@/components/Switch"
import type { Side, Wish } from "@/types"
import { Asked } from "./Asked"
import { Budget } from "./Budget"
import { Otherwise } from "./Otherwise"
import { WantedLook } from "./WantedLook"
import { WishedDate } from "./WishedDate"

const SHEENS: [string, [number, number] | null, string][] = [
  ["any", null, "any"],
  ["dull", [3, 15], "dull"],
  ["satin", [15, 40], "satin"],
  ["semi", [40, 70], "half gloss"],
  ["gloss", [70, 95], "gloss"],
]
const MOST: Record<"odour" | "skill", [string, string][]> = {
  odour: [
    ["2", "hardly any"],
    ["3", "some"],
    ["5", "any"],
  ],
  skill: [
    ["2", "easy"],
    ["3", "practised"],
    ["5", "any"],
  ],
}
const GEAR: [string, string][] = [
  ["brush", "brush"],
  ["wipe", "cloths"],
  ["pad", "pad"],
  ["roller", "roller"],
  ["spray", "spray gun"],
]
const COUNTS: Record<string, string> = {
  bears: "what it bears",
  look: "the look",
  sure: "a sure bond",
  date: "the date",
  hours: "hours of hands",
  usual: "the usual choice",
  cost: "cost",
  odour: "smell",
  skill: "ease",
  repair: "mending by spots",
}

type Props = {
  wish: Wish
  piece: number
  zone: string
  /** Minute by which it is wished, or due. */
  due: number | null
  weights: Record<string, number>
  currency: string
  /** What its use asks for, 1 to 5. */
  asks: Record<string, number>
  /** The schedule that it has. */
  standing: Side | null
  /** The wanted colour. */
  target: string | null
  onWish: (change: Partial<Wish>) => void
}

/** What is wished and within which limits: each touch answers at once. */
export function Wishes(props: Props) {
  const { wish, piece, zone, due, weights, currency, asks, standing, target, onWish } = props
  const sheen = SHEENS.find(([, range]) => String(range) === String(wish.sheen ?? null))
  const gear = wish.gear ?? []
  return (
    <section aria-label="What is wished" className="wishes">
      <Otherwise wish={wish} asks={asks} standing={standing} onWish={onWish} />
      <Asked label="Sheen">
        <Switch
          label="Sheen"
          value={sheen?.[0] ?? "own"}
          options={[
            ...SHEENS.map(([id, , words]): [string, string] => [id, words]),
            ...(sheen || !wish.sheen ? [] : [["own", `${wish.sheen[0]}-${wish.sheen[1]} GU`] as [string, string]]),
          ]}
          onChange={(id) => id !== "own" && onWish({ sheen: SHEENS.find(([own]) => own === id)?.[1] ?? null })}
        />
      </Asked>
      <WantedLook wish={wish} piece={piece} target={target} onWish={onWish} />
      <Asked label="Pores">
        <Switch
          label="Pores"
          value={wish.pores ?? "any"}
          options={[
            ["any", "any"],
            ["open", "to show"],
            ["closed", "closed"],
          ]}
          onChange={(id) => onWish({ pores: id === "any" ? null : (id as "open" | "closed") })}
        />
      </Asked>
      {(["odour", "skill"] as const).map((name) => (
        <Asked key={name} label={name === "odour" ? "Smell, at most" : "Skill, at most"}>
          <Switch
            label={name === "odour" ? "Smell, at most" : "Skill, at most"}
            value={String(wish[name] ?? 5)}
            options={MOST[name]}
            onChange={(most) => onWish({ [name]: Number(most) })}
          />
        </Asked>
      ))}
      <Budget budget={wish.budget ?? null} currency={currency} onWish={onWish} />
      <WishedDate due={due} moved={Boolean(wish.due)} zone={zone} onWish={onWish} />
      <fieldset className="wish-checks">
        <legend className="text-label">There is</legend>
        {GEAR.map(([id, words]) => (
          <label key={id}>
            <input
              type="checkbox"
              checked={gear.includes(id)}
              disabled={gear.length === 1 && gear.includes(id)}
              onChange={() => onWish({ gear: gear.includes(id) ? gear.filter((one) => one !== id) : [...gear, id] })}
            />
            {words}
          </label>
        ))}
        <label>
          <input type="checkbox" checked={wish.repair === true} onChange={() => onWish({ repair: !wish.repair })} />
          it must mend by spots
        </label>
        <label>
          <input type="checkbox" checked={wish.mouths === true} onChange={() => onWish({ mouths: !wish.mouths })} />
          food or toy contact
        </label>
      </fieldset>
      <details className="wish-weights">
        <summary>What counts</summary>
        {Object.entries(COUNTS).map(([name, words]) => (
          <label key={name}>
            <span>{words}</span>
            <input
              type="range"
              min={0}
              max={5}
              step={1}
              value={wish.weights?.[name] ?? weights[name] ?? 1}
              onChange={(event) => onWish({ weights: { ...wish.weights, [name]: Number(event.target.value) } })}
            />
          </label>
        ))}
      </details>
    </section>
  )
}
