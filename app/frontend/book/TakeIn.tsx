import { useRef } from "react"
import { Trouble } from "@/components/Trouble"
import { sendFile } from "@/lib/api"
import { useSend } from "@/lib/requests"
import type { BookPage } from "@/types"

/** Takes a recipe in from a file. */
export function TakeIn({ onTaken }: { onTaken: (book: BookPage) => void }) {
  const input = useRef<HTMLInputElement>(null)
  const { send, busy, error, dismiss } = useSend()
  return (
    <>
      <button type="button" className="ui-button" disabled={busy} onClick={() => input.current?.click()}>
        Take in a file
      </button>
      <input
        ref={input}
        type="file"
        accept="application/json,.json"
        aria-label="A recipe as a file"
        className="sr-only"
        tabIndex={-1}
        onChange={(event) => {
          const file = event.target.files?.[0]
          event.target.value = ""
          if (file) void send(() => sendFile<BookPage>("/pieces/book/file", file), onTaken)
        }}
      />
      <Trouble
        sentence={error ? `${error.sentence}${error.accepted ? ` (${error.accepted})` : ""}` : ""}
        onRead={dismiss}
      />
    </>
  )
}
