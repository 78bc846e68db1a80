import { useState } from "react"
import { SelectField } from "@/components/Field"
import { Switch } from "@/components/Switch"
import { send } from "@/lib/api"
import { useAnswer } from "@/lib/requests"
import type { WantedLooks, Wish } from "@/types"
import { Asked } from "./Asked"

type Lab = [number, number, number]

/** By how much a word moves a wanted colour, L*, a*, b*. */
const WORDS: [string, Lab][] = [
  ["darker", [-6, 0, 0]],
  ["paler", [6, 0, 0]],
  ["redder", [0, 4, 0]],
  ["yellower", [0, 0, 5]],
]

type Props = { wish: Wish; piece: number; target: string | null; onWish: (change: Partial<Wish>) => void }

/** The colour that it shall have: tapped from looks that are reckoned on its wood, of a board, of another wood, typed. */
export function WantedLook({ wish, piece, target, onWish }: Props) {
  const { answer: looks } = useAnswer({
    key: ["looks", piece],
    ask: (signal) => send<WantedLooks>("GET", `/pieces/${piece}/ways/looks`, undefined, signal),
    quiet: true,
  })
  const wanted = wish.lab as Lab | null | undefined
  const want = (lab: number[] | null) => onWish({ lab, pale: false, opaque: false })
  const colour = wish.opaque ? "painted" : wish.pale ? "pale" : wanted ? "wanted" : "clear"
  return (
    <Asked label="Colour of the wood">
      <Switch
        label="Colour of the wood"
        value={colour}
        options={[
          ["clear", "seen"],
          ["pale", "bare as can be"],
          ["painted", "painted"],
          ...(wanted ? [["wanted", "this"] as [string, string]] : []),
        ]}
        onChange={(id) => id !== "wanted" && onWish({ opaque: id === "painted", pale: id === "pale", lab: null })}
      />
      {looks && looks.tiles.length > 0 && (
        <ul className="look-tiles" aria-label="Looks on this wood">
          {looks.tiles.map(({ words, lab, hex }) => (
            <li key={words}>
              <button
                type="button"
                title={words}
                aria-label={words}
                aria-pressed={String(wanted) === String(lab)}
                style={{ background: hex }}
                onClick={() => want(String(wanted) === String(lab) ? null : lab)}
              />
            </li>
          ))}
        </ul>
      )}
      {wanted && (
        <div className="look-words">
          <span className="look-wanted" style={{ background: target ?? "transparent" }} aria-hidden="true" />
          {WORDS.map(([word, by]) => (
            <button
              key={word}
              type="button"
              className="ui-button"
              data-size="small"
              onClick={() => want(moved(wanted, by))}
            >
              {word}
            </button>
          ))}
        </div>
      )}
      {looks && (
        <details className="wish-weights">
          <summary>{wanted ? "From elsewhere" : "Another colour"}</summary>
          <div className="grid gap-2">
            <Elsewhere label="As on a board" looks={looks.boards} onLook={want} />
            <Elsewhere label="As another wood" looks={looks.woods} onLook={want} />
            <Typed wanted={wanted ?? null} onLook={want} />
          </div>
        </details>
      )}
    </Asked>
  )
}

const moved = (lab: Lab, by: Lab): Lab => {
  const [l, a, b] = lab.map((value, index) => Math.round((value + (by[index] ?? 0)) * 10) / 10) as Lab
  return [Math.min(Math.max(l, 1), 99), a, b]
}

type ElsewhereProps = { label: string; looks: WantedLooks["boards"]; onLook: (lab: number[]) => void }

function Elsewhere({ label, looks, onLook }: ElsewhereProps) {
  if (looks.length === 0) return null
  return (
    <SelectField
      label={label}
      value=""
      options={[["", "choose"], ...looks.map(({ words }): [string, string] => [words, words])]}
      onChange={(words) => {
        const look = looks.find((one) => one.words === words)
        if (look) onLook(look.lab)
      }}
    />
  )
}

/** A reading as it is written down. */
function Typed({ wanted, onLook }: { wanted: Lab | null; onLook: (lab: number[]) => void }) {
  const [text, setText] = useState("")
  const numbers = text
    .trim()
    .replace(/,/g, ".")
    .split(/[\s;]+/)
    .map(Number)
  const sound = numbers.length === 3 && numbers.every(Number.isFinite)
  return (
    <label className="ui-field">
      <span>As it was read, L* a* b*</span>
      <input
        className="ui-input"
        inputMode="decimal"
        value={text}
        placeholder={wanted?.join(" ") ?? "42 12 20"}
        onChange={(event) => setText(event.target.value)}
        onBlur={() => sound && onLook(numbers)}
        onKeyDown={(event) => event.key === "Enter" && sound && onLook(numbers)}
      />
      {text !== "" && !sound && <span className="text-fine">Three numbers, such as 42 12 20.</span>}
    </label>
  )
}
