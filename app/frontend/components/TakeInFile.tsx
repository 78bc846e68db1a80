import { useRef } from "react"
import { Trouble } from "@/components/Trouble"
import { sendFile } from "@/lib/api"
import { useSend } from "@/lib/requests"

type Props<T> = {
  /** Where it is sent. */
  path: string
  /** What the file holds: "A recipe as a file". */
  label: string
  onTaken: (answer: T) => void
}

/** Takes something in from a file of JSON. */
export function TakeInFile<T>({ path, label, onTaken }: Props<T>) {
  const input = useRef<HTMLInputElement>(null)
  const { send, busy, error, dismiss } = useSend()
  return (
    <>
      <button type="button" className="ui-button" disabled={busy} onClick={() => input.current?.click()}>
        {busy ? "Taking it in" : "Take in a file"}
      </button>
      <input
        ref={input}
        type="file"
        accept="application/json,.json"
        aria-label={label}
        className="sr-only"
        tabIndex={-1}
        onChange={(event) => {
          const file = event.target.files?.[0]
          event.target.value = ""
          if (file) void send(() => sendFile<T>(path, file), onTaken)
        }}
      />
      <Trouble
        sentence={error ? `${error.sentence}${error.accepted ? ` (${error.accepted})` : ""}` : ""}
        onRead={dismiss}
      />
    </>
  )
}
