import { useState } from "react"
import { ErrorText } from "@/components/ErrorText"
import { Panel } from "@/components/Panel"
import { send as request } from "@/lib/api"
import { useSend } from "@/lib/requests"
import { when } from "@/lib/time"
import type { Photo } from "@/types"
import { PatchColour } from "./PatchColour"
import { PatchMarks } from "./PatchMarks"
import { type Marks, usePatch } from "./usePatch"

type Props = {
  photo: Photo
  zone: string
  onClose: () => void
  onGone: (id: number) => void
  onColour?: (photo: number, marks: Marks) => Promise<boolean>
}

/** A photo large; of a cell, its colour can be taken with a frame over the colour and one over the grey card. */
export function PhotoPanel({ photo, zone, onClose, onGone, onColour }: Props) {
  const [marking, setMarking] = useState(false)
  const { send, error: refused } = useSend()
  const { marks, setMarks, colour, error, placed } = usePatch(photo.id, marking)
  const alt = photo.words ?? photo.of ?? `photo of ${when(photo.at, zone)}`
  const remove = () =>
    send(
      () => request("DELETE", `/photos/${photo.id}`),
      () => {
        onGone(photo.id)
        onClose()
      },
    )
  return (
    <Panel
      title={photo.of ?? "Photo"}
      wide
      open
      onOpenChange={(open) => !open && onClose()}
      action={
        marking && (
          <button
            type="button"
            className="ui-tape"
            disabled={!colour}
            onClick={async () => {
              if (await onColour?.(photo.id, marks)) onClose()
            }}
          >
            Keep the colour as a reading
          </button>
        )
      }
    >
      <p className="text-second text-fine">
        {when(photo.at, zone)}
        {photo.words ? ` · ${photo.words}` : ""}
      </p>
      {marking ? (
        <>
          <PatchMarks src={`/photos/${photo.id}`} alt={alt} marks={marks} onMarks={setMarks} />
          <PatchColour colour={colour} error={error} placed={placed} />
        </>
      ) : (
        <img className="photo-large" src={`/photos/${photo.id}`} alt={alt} width={photo.width} height={photo.height} />
      )}
      <div className="mt-3 flex flex-wrap gap-2">
        {onColour && !marking && (
          <button type="button" className="ui-button" onClick={() => setMarking(true)}>
            Take a colour from it, by a grey card
          </button>
        )}
        {!marking && (
          <button type="button" className="ui-button" data-quiet onClick={remove}>
            Take the photo away
          </button>
        )}
      </div>
      <ErrorText reason={refused} />
    </Panel>
  )
}
