import { useState } from "react"
import { recall, remember } from "@/lib/device"
import { Panel } from "./Panel"

const EVERYWHERE: [string, string][] = [
  ["1 – 5", "Bench, Schedule, Boards, Mix, Shelf"],
  ["?", "This list"],
]

/** All keys of the screen, and the switch that turns single keys off. */
export function KeysHelp({ open, onClose, keys }: { open: boolean; onClose: () => void; keys: [string, string][] }) {
  const [off, setOff] = useState(() => recall("rhexon.keys") === "off")
  return (
    <Panel title="Keys on this screen" open={open} onOpenChange={(next) => !next && onClose()}>
      <table className="sheet-table mt-3">
        <tbody>
          {[...keys, ...EVERYWHERE].map(([key, does]) => (
            <tr key={key}>
              <td className="text-head whitespace-nowrap">{key}</td>
              <td>{does}</td>
            </tr>
          ))}
        </tbody>
      </table>
      <label className="mt-4 flex min-h-11 items-center gap-3">
        <input
          type="checkbox"
          className="h-5 w-5"
          checked={!off}
          onChange={(event) => {
            remember("rhexon.keys", event.target.checked ? "on" : "off")
            setOff(!event.target.checked)
          }}
        />
        Single keys work on this device
      </label>
    </Panel>
  )
}
