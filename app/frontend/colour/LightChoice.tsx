type Props = {
  lights: { id: string; name: string; model: boolean }[]
  light: string
  onLight: (id: string) => void
  /** The light of the place where the piece will stand. */
  place?: string
}

/** The lights as a row of small lamps; the one it is seen in is lit. */
export function LightChoice({ lights, light, onLight, place }: Props) {
  return (
    <fieldset className="light-list">
      <legend className="sr-only">Seen in</legend>
      {lights.map((candidate) => (
        <label key={candidate.id} className="light-swatch" data-state={candidate.id === light ? "on" : "off"}>
          <input
            type="radio"
            name="look-light"
            className="sr-only"
            checked={candidate.id === light}
            onChange={() => onLight(candidate.id)}
          />
          {candidate.name}
          {candidate.id === place && <span className="text-fine text-second"> · its place</span>}
        </label>
      ))}
    </fieldset>
  )
}
