import { SelectField } from "@/components/Field"

/** Lights a reading or a yes is made in, as it is kept. */
const LIGHTS = ["daylight", "warm lamp", "shop LED", "raking lamp"]

export function SeenBy({
  label = "Light",
  value,
  onChange,
}: {
  label?: string
  value: string
  onChange: (light: string) => void
}) {
  return <SelectField label={label} value={value} onChange={onChange} options={LIGHTS.map((light) => [light, light])} />
}
