import { useRef, useState } from "react"
import { type FileMatch, ImportMatches } from "@/components/ImportMatches"
import { Trouble } from "@/components/Trouble"
import { sendFile } from "@/lib/api"
import { useSend } from "@/lib/requests"

type Props<T> = {
  /** Where it is sent. */
  path: string
  /** What the file holds: "A recipe as a file". */
  label: string
  onTaken: (answer: T) => void
  /** Whether what stands here for its products is shown before it is taken in. */
  matched?: boolean
}

/** Takes something in from a file of JSON. */
export function TakeInFile<T>({ path, label, onTaken, matched = false }: Props<T>) {
  const input = useRef<HTMLInputElement>(null)
  const { send, busy, error, dismiss } = useSend()
  const [shown, setShown] = useState<{ file: File; matches: FileMatch[] } | null>(null)
  const takeIn = (file: File, chosen?: Record<string, string | null>) =>
    void send(
      () => sendFile<T>(path, file, chosen ? { matches: JSON.stringify(chosen) } : {}),
      (answer) => {
        setShown(null)
        onTaken(answer)
      },
    )
  const look = (file: File) =>
    void send(
      () => sendFile<{ matches: FileMatch[] }>(path, file, { look: "yes" }),
      ({ matches }) => (matches.length > 0 ? setShown({ file, matches }) : takeIn(file)),
    )
  const words = error ? `${error.sentence}${error.accepted ? ` (${error.accepted})` : ""}` : ""
  return (
    <>
      <button type="button" className="ui-button" disabled={busy} onClick={() => input.current?.click()}>
        {busy ? "Reading the file" : "Import"}
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
          if (file) (matched ? look : takeIn)(file)
        }}
      />
      {shown && (
        <ImportMatches
          file={shown.file.name}
          matches={shown.matches}
          busy={busy}
          error={words}
          onImport={(chosen) => takeIn(shown.file, chosen)}
          onClose={() => {
            dismiss()
            setShown(null)
          }}
        />
      )}
      <Trouble sentence={shown ? "" : words} onRead={dismiss} />
    </>
  )
}
