import { useLight } from "./useLight"

/** The lights as a row of small lamps; the one it is seen in is lit. */
export function LightChoice({ lights }: { lights: { id: string; name: string; model: boolean }[] }) {
  const [light, setLight] = useLight()
  return (
    <fieldset className="lights">
      <legend className="sr-only">Seen in</legend>
      {lights.map((candidate) => (
        <label key={candidate.id} className="light" data-state={candidate.id === light ? "on" : "off"}>
          <input
            type="radio"
            name="look-light"
            className="sr-only"
            checked={candidate.id === light}
            onChange={() => setLight(candidate.id)}
          />
          {candidate.name}
        </label>
      ))}
    </fieldset>
  )
}
