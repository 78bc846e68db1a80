import { usePaperSize } from "@/lib/paper"
import { useSwitches } from "@/lib/units"
import { SelectField } from "./Field"
import { Panel } from "./Panel"

/** The units this device shows, each quantity by itself. */
export function UnitsPanel({ open, onClose }: { open: boolean; onClose: () => void }) {
  const switches = useSwitches()
  const [paper, setPaper] = usePaperSize()
  return (
    <Panel title="Units on this device" open={open} onOpenChange={(next) => !next && onClose()}>
      <div className="mt-4 grid gap-4">
        {switches.map(({ name, ways, system, choose }) => (
          <SelectField
            key={name}
            label={name}
            value={system}
            options={ways}
            onChange={(next) => choose(ways.find(([way]) => way === next)?.[0] ?? "metric")}
          />
        ))}
        <SelectField
          label="Paper"
          value={paper}
          options={[
            ["shop", "as the shop has it"],
            ["a4", "A4"],
            ["letter", "Letter"],
          ]}
          onChange={(next) => setPaper(next as typeof paper)}
        />
      </div>
      <p className="text-second text-fine mt-3">What is stored stays the same; a field says which unit it takes.</p>
    </Panel>
  )
}
