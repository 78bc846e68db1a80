import { useRef } from "react"
import { placed, ScaleBar, StepStrip, Tapes } from "@/board/BoardParts"
import { inkOn } from "@/colour/ink"
import { useLight } from "@/colour/useLight"
import { drawing } from "@/components/Broken"
import { woodBitmap } from "@/drawing/woodBitmap"
import { useWidth } from "@/lib/size"
import type { TrialPreview } from "@/types"

type Props = { preview: TrialPreview; part: number; wood: string; grain: string; width_mm: number; height_mm: number }

/**
 * The board to scale as it will be laid out: cells in their predicted looks between the tapes, the step strip at the
 * edge.
 */
export const TrialBoard = drawing("The board", Drawn)

function Drawn({ preview, part, wood, grain, width_mm, height_mm }: Props) {
  const [light] = useLight()
  const holder = useRef<HTMLDivElement>(null)
  const width = useWidth(holder, 760)
  const scale = Math.min(width / width_mm, 430 / height_mm)
  const cells = (preview.parts[part] ?? [])
    .map((label) => preview.cells.find((cell) => cell.label === label))
    .filter((cell) => cell !== undefined)
  const [wide, high] = [Math.round(width_mm * scale), Math.round(height_mm * scale)]
  return (
    <div ref={holder}>
      <div
        className="board-frame"
        style={{ width: wide, height: high, backgroundImage: `url(${woodBitmap(wood, grain, wide, high)})` }}
        role="img"
        aria-label={`Board of ${width_mm} by ${height_mm} mm with ${cells.length} cells: ${cells.map((cell) => `${cell.label} ${cell.words.join(" ")}`).join("; ")}`}
      >
        <Tapes tapes={preview.tapes} scale={scale} wide={wide} high={high} />
        <StepStrip strips={preview.strips} scale={scale} light={light} />
        {cells.map((cell, index) => {
          const place = preview.places[index]
          if (!place) return null
          return (
            <span
              key={cell.label}
              className="trial-cell"
              data-role={cell.role}
              style={{ ...placed(place, scale), background: cell.hexes?.[light], color: inkOn(cell.lab?.[0] ?? 80) }}
            >
              <b>{cell.label}</b>
              {preview.target_hex && cell.role !== "bare" && (
                <i className="trial-target" style={{ background: preview.target_hex }} aria-hidden="true" />
              )}
              <span>
                {cell.words.map((word) => (
                  <span key={word} className="block">
                    {word}
                  </span>
                ))}
                {cell.role === "bare" ? "as sanded" : cell.delta_e !== null ? `ΔE ${cell.delta_e.toFixed(1)}` : ""}
              </span>
            </span>
          )
        })}
      </div>
      <p className="mt-1 flex items-center justify-between text-fine text-second" style={{ width: wide }}>
        <span>
          {preview.cells[0]?.hexes ? "Predicted on a mean board" : `No colour figures of ${wood}: no prediction`}
          {preview.target_hex ? "; round window: the wanted colour" : ""}
        </span>
        <ScaleBar scale={scale} />
      </p>
    </div>
  )
}
