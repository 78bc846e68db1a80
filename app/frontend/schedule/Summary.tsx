import { duration, when } from "@/lib/time"
import type { Chance, Sheet } from "@/types"

const MEANS: Record<string, string> = {
  touch: "dry to touch",
  handle: "ready to handle",
  stack: "ready to stack",
  full_cure: "fully cured",
}

type Props = { sheet: Sheet; preview: Sheet | null; chance: Chance | null }

/** The summary line; while a change is previewed it shows what would become of it. */
export function Summary({ sheet, preview, chance }: Props) {
  const shown = preview ?? sheet
  const means = MEANS[sheet.ready_means] ?? "ready"
  const spare = sheet.due && shown.ready_at ? sheet.due - shown.ready_at : null
  return (
    <dl className="ui-summary" data-state={preview ? "preview" : "plan"}>
      <Item label="Hands-on" value={duration(shown.hands_min)} />
      <Item
        label={means.charAt(0).toUpperCase() + means.slice(1)}
        value={shown.ready_at ? when(shown.ready_at, sheet.zone) : "no date"}
      />
      {shown.cured_at && (
        <Item label="Fully cured" value={when(shown.cured_at, sheet.zone).replace(/ \d\d:\d\d$/, "")} />
      )}
      {sheet.due && (
        <Item
          label={`Due ${when(sheet.due, sheet.zone).replace(/ \d\d:\d\d$/, "")}${odds(chance)}`}
          value={spare === null ? "no date" : spare >= 0 ? `${duration(spare)} spare` : `${duration(-spare)} late`}
        />
      )}
    </dl>
  )
}

function odds(chance: Chance | null): string {
  if (!chance || chance.share === null) return ""
  const percent = Math.round(chance.share * 100)
  // Drawn from some hundred runs: all or none of them is no certainty.
  return `, chance ${percent > 99 ? "over 99" : percent < 1 ? "under 1" : percent} %`
}

function Item({ label, value }: { label: string; value: string }) {
  return (
    <div>
      <dt>{label}</dt>
      <dd>{value}</dd>
    </div>
  )
}
