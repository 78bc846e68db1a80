import { useState } from "react"
import { useShop } from "@/lib/shop"
import { when } from "@/lib/time"
import type { Photo } from "@/types"
import { PhotoButton, type PhotoOf } from "./PhotoButton"
import { PhotoPanel } from "./PhotoPanel"
import type { Marks } from "./usePatch"

type Props = {
  photos: Photo[]
  of: PhotoOf
  onAdded: (photo: Photo) => void
  onGone: (id: number) => void
  /** Keeps the colour of a marked patch as a reading. */
  onColour?: (photo: number, marks: Marks) => Promise<boolean>
}

/** Small pictures in a row; one opens large, where a patch beside a grey card gives its colour. */
export function Photos({ photos, of, onAdded, onGone, onColour }: Props) {
  const { zone } = useShop()
  const [open, setOpen] = useState<number | null>(null)
  const shown = photos.find((photo) => photo.id === open)
  return (
    <section aria-label="Photos" className="photo-list">
      <ul>
        {photos.map((photo) => (
          <li key={photo.id}>
            <button type="button" className="photo-thumb" onClick={() => setOpen(photo.id)}>
              <img
                src={`/photos/${photo.id}/thumb`}
                alt={photo.words ?? photo.of ?? `photo of ${when(photo.at, zone)}`}
                loading="lazy"
              />
            </button>
          </li>
        ))}
      </ul>
      <PhotoButton of={of} onPhoto={onAdded} />
      {shown && (
        <PhotoPanel
          key={shown.id}
          photo={shown}
          zone={zone}
          onClose={() => setOpen(null)}
          onGone={onGone}
          onColour={onColour}
        />
      )}
    </section>
  )
}
