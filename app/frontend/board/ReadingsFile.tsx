import { useState } from "react"

/** Colour readings of the board out and in, as the text that colour instruments write. */
export function ReadingsFile({
  board,
  error,
  onFile,
}: {
  board: number
  error: string
  onFile: (file: File) => Promise<boolean>
}) {
  const [kept, setKept] = useState("")
  return (
    <div className="flex flex-wrap items-center gap-x-3">
      <a href={`/boards/${board}/sheet`} className="quiet-link target" target="_blank" rel="noreferrer">
        Print it, 1:1
      </a>
      <a href={`/boards/${board}/sheet.svg`} className="quiet-link target" download>
        Drawing, SVG
      </a>
      <a href={`/boards/${board}/label.pdf`} className="quiet-link target" target="_blank" rel="noreferrer">
        Label
      </a>
      <a href={`/boards/${board}/readings`} className="quiet-link target" download>
        Readings out
      </a>
      <label className="quiet-link target cursor-pointer">
        Readings in
        <input
          type="file"
          accept=".txt,.cgats,text/plain"
          className="sr-only"
          onChange={(event) => {
            const file = event.target.files?.[0]
            event.target.value = ""
            if (file) void onFile(file).then((sound) => setKept(sound ? `The readings of ${file.name} are kept.` : ""))
          }}
        />
      </label>
      <span role="status" className="text-fine text-second">
        {error ? "" : kept}
      </span>
      {error && (
        <span className="error-text" role="alert">
          {error}
        </span>
      )}
    </div>
  )
}
