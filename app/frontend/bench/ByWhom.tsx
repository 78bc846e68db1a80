/** So many names are touched; a class is chosen from. */
const TOUCHED = 6

/** Whose hands take it up. */
export function ByWhom({
  people,
  person,
  onChoose,
}: {
  people: string[]
  person: string | undefined
  onChoose: (name: string) => void
}) {
  if (people.length > TOUCHED)
    return (
      <select
        className="ui-input bench-whose"
        aria-label="Whose hands"
        value={person}
        onChange={(event) => onChoose(event.target.value)}
      >
        {people.map((name) => (
          <option key={name}>{name}</option>
        ))}
      </select>
    )
  return (
    <fieldset className="by-whom">
      <legend className="sr-only">Whose hands</legend>
      {people.map((name) => (
        <label key={name} data-state={name === person ? "on" : "off"}>
          <input
            type="radio"
            name="by-whom"
            className="sr-only"
            checked={name === person}
            onChange={() => onChoose(name)}
          />
          {name}
        </label>
      ))}
    </fieldset>
  )
}
