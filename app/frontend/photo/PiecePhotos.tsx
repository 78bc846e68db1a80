import { Dialog } from "radix-ui"
import { useState } from "react"
import { ErrorText } from "@/components/ErrorText"
import { Panel } from "@/components/Panel"
import { send as request } from "@/lib/api"
import { useSend } from "@/lib/requests"
import type { Photo } from "@/types"
import { Photos } from "./Photos"

/** The photos of a piece and of what its log says, fetched when they are asked for. */
export function PiecePhotos({ piece }: { piece: number }) {
  const [photos, setPhotos] = useState<Photo[] | null>(null)
  const { send, error } = useSend()
  const fetch = () =>
    send(
      () => request<{ photos: Photo[] }>("GET", `/pieces/${piece}/photos`),
      (answer) => setPhotos(answer.photos),
    )
  return (
    <Panel
      title="Photos"
      onOpenChange={(open) => open && void fetch()}
      trigger={<Dialog.Trigger className="cursor-pointer underline underline-offset-2">Photos</Dialog.Trigger>}
    >
      <ErrorText reason={error} />
      {photos && photos.length === 0 && (
        <p className="text-second mt-2">None yet. What is taken at the bench comes here as well.</p>
      )}
      {photos && (
        <Photos
          photos={photos}
          of={{ piece_id: piece }}
          onAdded={(photo) => setPhotos([photo, ...photos])}
          onGone={(id) => setPhotos(photos.filter((photo) => photo.id !== id))}
        />
      )}
    </Panel>
  )
}
