import { useRef } from "react"
import { ErrorText } from "@/components/ErrorText"
import { clientId, sendFile } from "@/lib/api"
import { useSend } from "@/lib/requests"
import type { Photo } from "@/types"

/** What a photo is of: a cell, a piece, the work in hand, or nothing but its colour. */
export type PhotoOf = { cell_id: number } | { piece_id: number } | { pass: string } | Record<string, never>

type Props = { of: PhotoOf; label?: string; size?: "bench"; light?: string; onPhoto: (photo: Photo) => void }

/** Takes or chooses a photo and sends it; what is refused is said in words beside it. */
export function PhotoButton({ of, label = "Add a photo", size, light, onPhoto }: Props) {
  const { send, busy, error } = useSend()
  const ids = useRef(new Map<string, string>())
  const take = (file: File) => {
    // The same file again, after an answer that was lost, is the same photo.
    const file_id = `${file.name} ${file.size} ${file.lastModified}`
    const id = ids.current.get(file_id) ?? clientId()
    ids.current.set(file_id, id)
    const fields = Object.fromEntries(
      Object.entries({ ...of, light, client_id: id }).map(([name, value]) => [name, String(value ?? "")]),
    )
    return send(
      () => sendFile<{ photo: Photo }>("/photos", file, fields),
      ({ photo }) => {
        ids.current.delete(file_id)
        onPhoto(photo)
      },
    )
  }
  return (
    <>
      <label className="ui-button photo-button" data-size={size} aria-busy={busy}>
        {busy ? "Making it small" : label}
        <input
          type="file"
          accept="image/jpeg,image/png,image/webp"
          className="sr-only"
          disabled={busy}
          onChange={(event) => {
            const file = event.target.files?.[0]
            event.target.value = ""
            if (file) void take(file)
          }}
        />
      </label>
      <ErrorText reason={error} />
    </>
  )
}
