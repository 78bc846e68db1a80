import { Dialog } from "radix-ui"
import { useState } from "react"
import { Panel } from "@/components/Panel"
import { refused, send } from "@/lib/api"
import type { Photo } from "@/types"
import { Photos } from "./Photos"

/** The photos of a piece and of what its log says, fetched when they are asked for. */
export function PiecePhotos({ piece }: { piece: number }) {
  const [photos, setPhotos] = useState<Photo[] | null>(null)
  const [trouble, setTrouble] = useState("")
  const fetch = () =>
    send<{ photos: Photo[] }>("GET", `/pieces/${piece}/photos`)
      .then((answer) => setPhotos(answer.photos))
      .catch(refused((reason) => setTrouble(reason.sentence)))
  return (
    <Panel
      title="Photos"
      onOpenChange={(open) => open && void fetch()}
      trigger={<Dialog.Trigger className="cursor-pointer underline underline-offset-2">Photos</Dialog.Trigger>}
    >
      {trouble && (
        <p className="error-text" role="alert">
          {trouble}
        </p>
      )}
      {photos && photos.length === 0 && (
        <p className="sub mt-2">None yet. What is taken at the bench comes here as well.</p>
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
