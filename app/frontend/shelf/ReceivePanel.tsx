import { router } from "@inertiajs/react"
import { Dialog } from "radix-ui"
import { useRef, useState } from "react"
import { SelectField, TextField } from "@/components/Field"
import { Panel } from "@/components/Panel"
import { clientId, send as request } from "@/lib/api"
import { useSend } from "@/lib/requests"

type Props = { products: { id: number; name: string }[]; today: string; found?: string | null; product?: number }

/** A can that came in. */
export function ReceivePanel({ products, today, product }: Props) {
  const [chosen, setChosen] = useState(String(product ?? products[0]?.id ?? ""))
  const [amount, setAmount] = useState("")
  const [lot, setLot] = useState("")
  const [state, setState] = useState("sealed")
  const [on, setOn] = useState(today)
  const { send, error } = useSend()
  const id = useRef(clientId())
  const receive = () =>
    send(
      () =>
        request<{ location: string }>("POST", "/batches", {
          product: Number(chosen),
          amount,
          lot,
          state,
          on,
          client_id: id.current,
        }),
      ({ location }) => router.visit(location),
    )
  const at = (where: string) => (error?.where === where ? error.sentence : undefined)
  return (
    <Panel
      title="A can came in"
      trigger={
        <Dialog.Trigger asChild>
          <button type="button" className="ui-button">
            Put on the shelf
          </button>
        </Dialog.Trigger>
      }
      action={
        <button type="button" className="ui-tape" data-size="small" onClick={() => void receive()}>
          On the shelf
        </button>
      }
    >
      <div className="grid gap-3 mt-3 sm:grid-cols-2">
        {!product && (
          <SelectField
            label="Product"
            value={chosen}
            error={at("product")}
            options={products.map((candidate): [string, string] => [String(candidate.id), candidate.name])}
            onChange={setChosen}
          />
        )}
        <TextField
          label="How much is in it"
          value={amount}
          placeholder="5 l, 750 ml, 1 kg"
          error={at("amount")}
          onChange={setAmount}
        />
        <TextField label="Lot" value={lot} onChange={setLot} />
        <SelectField
          label="It is"
          value={state}
          options={[
            ["sealed", "sealed"],
            ["opened", "opened"],
          ]}
          onChange={setState}
        />
        <TextField
          label={state === "sealed" ? "Came on" : "Opened on"}
          type="date"
          value={on}
          error={at("on")}
          onChange={setOn}
        />
      </div>
      {error && !["product", "amount", "on"].includes(error.where ?? "") && (
        <p className="error-text mt-2" role="alert">
          {error.sentence}
        </p>
      )}
    </Panel>
  )
}
