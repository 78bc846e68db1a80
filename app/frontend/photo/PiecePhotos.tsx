import { useEffect, useState } from "react"
import { ErrorText } from "@/components/ErrorText"
import { Panel } from "@/components/Panel"
import { send as request } from "@/lib/api"
import { useSend } from "@/lib/requests"
import type { Photo } from "@/types"
import { Photos } from "./Photos"

type Props = { piece: number; onOpenChange: (open: boolean) => void }

/** The photos of a piece and of what its log says, in a panel over its page. */
export function PiecePhotos({ piece, onOpenChange }: Props) {
  const [photos, setPhotos] = useState<Photo[] | null>(null)
  const { send, error } = useSend()
  // biome-ignore lint/correctness/useExhaustiveDependencies: asked for once, when the panel opens
  useEffect(() => {
    void send(
      () => request<{ photos: Photo[] }>("GET", `/pieces/${piece}/photos`),
      (answer) => setPhotos(answer.photos),
    )
  }, [piece])
  return (
    <Panel title="Photos" open onOpenChange={onOpenChange}>
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
