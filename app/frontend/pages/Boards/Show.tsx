import { Head } from "@inertiajs/react"
import { useState } from "react"
import { BlindPairs } from "@/board/BlindPairs"
import { BoardDrawing } from "@/board/BoardDrawing"
import { BoardHead } from "@/board/BoardHead"
import { CellPanel } from "@/board/CellPanel"
import { CellsCompared } from "@/board/CellsCompared"
import { Decision } from "@/board/Decision"
import { Effects } from "@/board/Effects"
import { LayersEditor } from "@/board/LayersEditor"
import { Promote } from "@/board/Promote"
import { QuickEntry } from "@/board/QuickEntry"
import { ReadingsFile } from "@/board/ReadingsFile"
import { SideBySide } from "@/board/SideBySide"
import { useBoard } from "@/board/useBoard"
import { Verdict } from "@/board/Verdict"
import { WorkOrder } from "@/board/WorkOrder"
import { LightChoice } from "@/colour/LightChoice"
import { nextLight, useLight } from "@/colour/useLight"
import { Shell } from "@/components/Shell"
import { Patterns } from "@/drawing/Patterns"
import { recall } from "@/lib/device"
import { useKeys } from "@/lib/keys"
import type { BoardPage } from "@/types"

const KEYS: [string, string][] = [
  ["← →", "Walk the cells"],
  ["M", "Measure: go to the first reading field"],
  ["P", "Make the cell the schedule"],
  ["L", "Next light"],
  ["B", "Blind pairs"],
  ["C", "Compare cells side by side"],
  ["E", "Enter readings of the whole board"],
]

/** A sample board: cells to scale, their readings, the best, and the way from a cell to a schedule. */
export default function BoardShow(props: BoardPage & { kept_at?: number }) {
  const state = useBoard(props, props.kept_at)
  const { board, shelf, pieces, lights, measures, trial, pairs, work, error, base } = state
  const [open, setOpen] = useState<"" | "blind" | "side" | "quick">("")
  const [light, setLight] = useLight()
  const [selected, setSelected] = useState(board.best ?? board.cells[0]?.id ?? 0)
  const [promoting, setPromoting] = useState(false)
  const [editing, setEditing] = useState(false)
  const cell = board.cells.find((candidate) => candidate.id === selected)
  const walk = (by: number) => {
    const at = board.cells.findIndex((candidate) => candidate.id === selected)
    setSelected(board.cells[Math.min(Math.max(at + by, 0), board.cells.length - 1)]?.id ?? selected)
  }
  useKeys({
    ArrowLeft: () => walk(-1),
    ArrowRight: () => walk(1),
    m: () => document.querySelector<HTMLInputElement>(".readings input")?.focus(),
    p: () => cell && cell.layers.length > 0 && setPromoting(true),
    l: () => setLight(nextLight(lights, light)),
    b: () => pairs && setOpen("blind"),
    c: () => setOpen("side"),
    e: () => setOpen("quick"),
  })
  const mine = error && error.cell === selected ? error : null
  return (
    <Shell keys={KEYS}>
      <Head title={board.name} />
      <Patterns />
      <BoardHead board={board} trial={trial} />
      <div className="board-grid">
        <div className="min-w-0">
          <BoardDrawing board={board} selected={selected} onSelect={setSelected} />
          <div className="flex flex-wrap items-center justify-between gap-2">
            <LightChoice lights={lights} light={light} onLight={setLight} />
            <div className="flex flex-wrap gap-2">
              <button type="button" className="ui-button" onClick={() => setOpen("side")}>
                Side by side
              </button>
              <button type="button" className="ui-button" onClick={() => setOpen("quick")}>
                Quick entry
              </button>
              {pairs && (
                <button type="button" className="ui-button" onClick={() => setOpen("blind")}>
                  Blind pairs{pairs.picks ? `, ${pairs.picks} so far` : ""}
                </button>
              )}
            </div>
          </div>
          <ReadingsFile
            board={board.id}
            error={error?.where === "file" ? error.sentence : ""}
            onFile={(file) => state.readFile(selected, file)}
          />
          <CellsCompared board={board} selected={selected} onSelect={setSelected} />
          {cell && (
            <Decision
              board={board}
              cell={cell}
              base={base}
              relooks={state.relooks}
              age={state.age_days}
              verdict={state.verdict}
              approval={state.approval}
              links={state.links}
              error={(where) => (error?.where === where ? error.sentence : undefined)}
              onUnchanged={(words) => state.read(cell.id, "note", words, recall("rhexon.observer") ?? "", "daylight")}
              onVerdict={state.decide}
              onApprove={(name, seen) => state.approve(cell.id, name, seen)}
            />
          )}
          {trial && <Effects trial={trial} />}
          {trial && <Verdict trial={trial} onWeigh={(weights) => state.weigh(trial.id, weights)} />}
          {work && work.passes.length > 0 && <WorkOrder board={board.id} work={work} />}
        </div>
        {cell && (
          <CellPanel
            cell={cell}
            state={state}
            error={mine}
            onEdit={() => setEditing(true)}
            onPromote={() => setPromoting(true)}
          />
        )}
      </div>
      <SideBySide
        key={`s${selected} ${open}`}
        open={open === "side"}
        onOpenChange={(on) => setOpen(on ? "side" : "")}
        board={board}
        first={selected}
        lights={lights}
        apart={state.apart}
      />
      <QuickEntry
        open={open === "quick"}
        onOpenChange={(on) => {
          setOpen(on ? "quick" : "")
          state.dismiss()
        }}
        board={board}
        measures={measures}
        error={error?.cell === 0 ? error : null}
        onKeep={state.quick}
      />
      {pairs && (
        <BlindPairs
          open={open === "blind"}
          onOpenChange={(on) => setOpen(on ? "blind" : "")}
          board={board}
          pairs={pairs}
          onPick={state.pick}
        />
      )}
      {cell && (
        <Promote
          key={`p${cell.id}`}
          open={promoting}
          onOpenChange={setPromoting}
          cell={cell}
          base={base}
          pieces={pieces}
          shelf={shelf}
          first={board.piece?.id}
        />
      )}
      {cell && (
        <LayersEditor
          open={editing}
          onOpenChange={setEditing}
          cell={cell}
          shelf={shelf}
          offers={state.offers}
          error={mine}
          onKeep={(steps) => state.layers(cell.id, steps)}
        />
      )}
    </Shell>
  )
}
