import type { Looks } from "@/types"

type Props = {
  lights: Looks["lights"]
  light: string
  onLight: (id: string) => void
  /** The light of the place where the piece will stand. */
  place: string
}

/** In which light the looks of a page are shown, as small as a word. Key L goes to the next one. */
export function LightSwitch({ lights, light, onLight, place }: Props) {
  return (
    <label className="line-choice">
      Seen in
      <select value={light} onChange={(event) => onLight(event.target.value)}>
        {lights.map(({ id, name }) => (
          <option key={id} value={id}>
            {name}
            {id === place ? ", its place" : ""}
          </option>
        ))}
      </select>
    </label>
  )
}
