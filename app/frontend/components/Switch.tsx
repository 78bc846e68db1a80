type Props = { label: string; value: string; options: [string, string][]; onChange: (value: string) => void }

/** A few choices side by side, one of them on. */
export function Switch(props: Props) {
  return (
    <fieldset className="ui-switch">
      <legend className="sr-only">{props.label}</legend>
      {props.options.map(([value, words]) => (
        <button key={value} type="button" aria-pressed={value === props.value} onClick={() => props.onChange(value)}>
          {words}
        </button>
      ))}
    </fieldset>
  )
}
