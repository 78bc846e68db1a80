import { useState } from "react"
import { Panel } from "@/components/Panel"
import { PatchColour } from "@/photo/PatchColour"
import { PatchMarks } from "@/photo/PatchMarks"
import { PhotoButton } from "@/photo/PhotoButton"
import { usePatch } from "@/photo/usePatch"
import type { Photo } from "@/types"

/** A target out of a photo with a grey card in it: an old chair, a client's table. */
export function TargetPhoto({
  photos,
  onTarget,
}: {
  photos: Photo[]
  onTarget: (lab: [number, number, number]) => void
}) {
  const [shown, setShown] = useState<Photo | null>(null)
  const [known, setKnown] = useState(photos)
  return (
    <div className="photo-list mt-0">
      <ul>
        {known.map((photo) => (
          <li key={photo.id}>
            <button type="button" className="photo-thumb" onClick={() => setShown(photo)}>
              <img src={`/photos/${photo.id}/thumb`} alt="Take the target from this one" loading="lazy" />
            </button>
          </li>
        ))}
      </ul>
      <PhotoButton
        of={{}}
        label="Target from a photo with a grey card"
        onPhoto={(photo) => {
          setKnown([photo, ...known])
          setShown(photo)
        }}
      />
      {shown && <TargetPanel key={shown.id} photo={shown} onClose={() => setShown(null)} onTarget={onTarget} />}
    </div>
  )
}

function TargetPanel({
  photo,
  onClose,
  onTarget,
}: {
  photo: Photo
  onClose: () => void
  onTarget: (lab: [number, number, number]) => void
}) {
  const { marks, setMarks, colour, error, placed } = usePatch(photo.id, true)
  return (
    <Panel
      title="Target from a photo"
      wide
      open
      onOpenChange={(open) => !open && onClose()}
      leave="Cancel"
      action={
        <button
          type="button"
          className="ui-tape"
          disabled={!colour}
          onClick={() => {
            if (colour) onTarget(colour.lab)
            onClose()
          }}
        >
          Make it the target
        </button>
      }
    >
      <PatchMarks src={`/photos/${photo.id}`} alt="What the target is taken from" marks={marks} onMarks={setMarks} />
      <PatchColour colour={colour} error={error} placed={placed} />
    </Panel>
  )
}
