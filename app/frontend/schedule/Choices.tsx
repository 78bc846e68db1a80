export function Neighbours({ pieces, id, go }: { pieces: number[]; id: number; go: (by: number) => void }) {
  const at = pieces.indexOf(id)
  return (
    <div className="flex items-center gap-2">
      <button
        type="button"
        className="ui-button"
        data-size="square"
        aria-label="Piece before"
        disabled={at <= 0}
        onClick={() => go(-1)}
      >
        ←
      </button>
      <button
        type="button"
        className="ui-button"
        data-size="square"
        aria-label="Piece after"
        disabled={at >= pieces.length - 1}
        onClick={() => go(1)}
      >
        →
      </button>
      <span className="text-fine text-second">
        piece {at + 1}
        <br />
        of {pieces.length}
      </span>
    </div>
  )
}

export function FaceChoice({
  faces,
  face,
  onChange,
}: {
  faces: string[]
  face: string
  onChange: (face: string) => void
}) {
  if (faces.length < 2) return null
  return (
    <label className="line-choice">
      Film on
      <select value={face} onChange={(event) => onChange(event.target.value)}>
        {faces.map((name) => (
          <option key={name}>{name}</option>
        ))}
      </select>
    </label>
  )
}
