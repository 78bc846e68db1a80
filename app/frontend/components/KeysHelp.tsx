import { Dialog } from "radix-ui"
import { useState } from "react"

const EVERYWHERE: [string, string][] = [
  ["1 – 3", "Bench, Schedule, Boards"],
  ["?", "This list"],
]

/** All keys of the screen, and the switch that turns single keys off. */
export function KeysHelp({ open, onClose, keys }: { open: boolean; onClose: () => void; keys: [string, string][] }) {
  const [off, setOff] = useState(() => localStorage.getItem("rhexon.keys") === "off")
  return (
    <Dialog.Root open={open} onOpenChange={(next) => !next && onClose()}>
      <Dialog.Portal>
        <Dialog.Overlay className="dialog-shade" />
        <Dialog.Content className="dialog" aria-describedby={undefined}>
          <Dialog.Title className="panel-title">Keys on this screen</Dialog.Title>
          <table className="sheet-table mt-3">
            <tbody>
              {[...keys, ...EVERYWHERE].map(([key, does]) => (
                <tr key={key}>
                  <td className="head whitespace-nowrap">{key}</td>
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
                localStorage.setItem("rhexon.keys", event.target.checked ? "on" : "off")
                setOff(!event.target.checked)
              }}
            />
            Single keys work on this device
          </label>
          <Dialog.Close className="button mt-3">Close</Dialog.Close>
        </Dialog.Content>
      </Dialog.Portal>
    </Dialog.Root>
  )
}
