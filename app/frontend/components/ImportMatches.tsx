import { useState } from "react"
import { SelectField } from "@/components/Field"
import { Panel } from "@/components/Panel"

/** A product of a file, what stands for it here, and what else could. */
export type FileMatch = { id: string; name: string; here: string | null; options: [string, string][] }

type Props = {
  file: string
  matches: FileMatch[]
  busy: boolean
  error: string
  onImport: (chosen: Record<string, string | null>) => void
  onClose: () => void
}

/** The products of a file beside those of the shop, before anything is saved. */
export function ImportMatches({ file, matches, busy, error, onImport, onClose }: Props) {
  const [chosen, setChosen] = useState<Record<string, string | null>>(() =>
    Object.fromEntries(matches.map(({ id, here }) => [id, here])),
  )
  return (
    <Panel
      title={`Import ${file}`}
      open
      leave="Cancel"
      onOpenChange={(open) => !open && onClose()}
      action={
        <button type="button" className="ui-tape" disabled={busy} onClick={() => onImport(chosen)}>
          {busy ? "Importing" : "Import"}
        </button>
      }
    >
      <p className="text-second mt-2">Check each product. Nothing is saved until you import.</p>
      <div className="mt-3 grid gap-3">
        {matches.map(({ id, name, options }) => (
          <SelectField
            key={id}
            label={`${name} in the file`}
            value={chosen[id] ?? ""}
            options={[...options, ["", `Add ${name} as a new product`]]}
            onChange={(code) => setChosen({ ...chosen, [id]: code || null })}
          />
        ))}
      </div>
      {error && (
        <p className="error-text mt-3" role="alert">
          {error}
        </p>
      )}
    </Panel>
  )
}
