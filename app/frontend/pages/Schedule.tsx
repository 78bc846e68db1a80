import { Head, router } from "@inertiajs/react"
import { useEffect, useMemo, useRef, useState } from "react"
import { aroundStep, colourOf } from "@/colour/colourOf"
import { LightSwitch } from "@/colour/LightSwitch"
import { BAND, LookBand } from "@/colour/LookBand"
import { LookTab } from "@/colour/LookTab"
import { nextLight } from "@/colour/useLight"
import { useLooks } from "@/colour/useLooks"
import { Shell } from "@/components/Shell"
import { FilmSection, filmAxis } from "@/drawing/FilmSection"
import { LEFT } from "@/drawing/frame"
import { Patterns, StripKey } from "@/drawing/Patterns"
import type { Picture } from "@/drawing/save/files"
import { useKeys } from "@/lib/keys"
import { useViewport, useWidth } from "@/lib/size"
import { when } from "@/lib/time"
import { AddStep } from "@/schedule/AddStep"
import { besideField } from "@/schedule/beside"
import { FaceChoice } from "@/schedule/Choices"
import { Detail } from "@/schedule/detail/Detail"
import { EmptySchedule } from "@/schedule/EmptySchedule"
import { History } from "@/schedule/History"
import { PieceHead } from "@/schedule/PieceHead"
import { SheetTable } from "@/schedule/SheetTable"
import { SideTabs } from "@/schedule/SideTabs"
import { StaleBar } from "@/schedule/StaleBar"
import { StepList } from "@/schedule/StepList"
import { StepTools } from "@/schedule/StepTools"
import { TryBar } from "@/schedule/TryBar"
import { useChance } from "@/schedule/useChance"
import { useCoatsTrial } from "@/schedule/useCoatsTrial"
import { usePreview } from "@/schedule/usePreview"
import { useRemedies } from "@/schedule/useRemedies"
import { useSheet } from "@/schedule/useSheet"
import { useStepEdits } from "@/schedule/useStepEdits"
import { firstOpen } from "@/schedule/words"
import type { Finding, Operation, Piece, SchedulePage, Sheet } from "@/types"

const KEYS: [string, string][] = [
  ["↑ ↓", "Walk the steps"],
  ["← →", "Move the step's start by 5 min"],
  ["Shift + ↑ ↓", "Wet film by 5 µm"],
  ["N", "New step after this one"],
  ["F", "Apply the first remedy"],
  ["Z, Shift + Z", "Undo, do again"],
  ["T", "Drawing or table"],
  ["H", "What was changed, and why"],
  ["L", "Next light"],
  ["[ ]", "Piece before, piece after"],
]

const spoken = (sheet: Sheet) =>
  `Computed. ${sheet.ready_at ? `Ready ${when(sheet.ready_at, sheet.zone)}` : "No date can be given"}, film ${Math.round(sheet.section.film_um)} micrometres, ${sheet.findings.length} findings.`

export default function Schedule(props: SchedulePage) {
  return <Screen key={props.piece.id} {...props} />
}

const firstRemedy = (sheet: Sheet) =>
  sheet.findings.flatMap((finding) => finding.remedies).find((remedy) => remedy.operation)

/** The step that the address names. */
const askedFor = (sheet: Sheet): string | null => {
  const id = new URLSearchParams(location.search).get("step")
  return sheet.rows.find((row) => row.step === id)?.key ?? null
}

/** Height of the film section, px: what head, band, key and detail, and on a narrow screen the list, leave of the window. */
const sectionHeight = (window: { width: number; height: number }) =>
  Math.min(Math.max(window.height - (window.width > 1100 ? 494 : 880), 290), 640)

const pictureOf = (piece: Piece, sheet: Sheet): Picture => ({
  title: `${piece.name}, film on ${sheet.section.face}${sheet.ready_at ? `, ready ${when(sheet.ready_at, sheet.zone)}` : ""}`,
  file: `${piece.name} ${sheet.section.face} film`,
  parts: () => [...document.querySelectorAll(".film-section > svg, .key-line > .strip-key")],
})

function Screen(props: SchedulePage) {
  const state = useSheet(props, spoken)
  const { piece, schedule } = state
  const settled = state.waiting.length === 0
  const remedies = useRemedies(state.url, schedule.revision, state.sheet, settled)
  const { sheet } = remedies
  const [selected, setSelected] = useState<string | null>(() => askedFor(sheet) ?? firstOpen(sheet))
  const row =
    sheet.rows.find((candidate) => candidate.key === selected) ??
    sheet.rows.find((candidate) => candidate.step === selected?.split("/")[1] && !candidate.inserted) ??
    sheet.rows[0] ??
    null
  const [adding, setAdding] = useState(false)
  const [history, setHistory] = useState(false)
  const [table, setTable] = useState(false)
  const { preview, ready, ask, drop } = usePreview(state.url, schedule.revision, sheet.section.face)
  const chance = useChance(state.url, schedule.revision, settled)
  const looks = useLooks(state.url, schedule.revision, sheet.section.face)
  const [light, setLight] = useState(props.piece.light)
  const colour = useMemo(() => colourOf(looks ?? null, light), [looks, light])
  const holder = useRef<HTMLDivElement>(null)
  const width = useWidth(holder, 790)
  const viewport = useViewport()
  const axis = useMemo(() => filmAxis(sheet, width), [sheet, width])
  const [scrolled, setScrolled] = useState(0)

  const { step, move, unpin, add, splitAndSet, wet, nudge } = useStepEdits(state, row, setSelected)
  const apply = (operation: Operation, reason: string) => {
    drop()
    state.edit(operation, reason)
  }
  const trial = useCoatsTrial(state, { preview, ask, drop }, setSelected)
  const select = (finding: Finding) =>
    setSelected(finding.pass ?? sheet.rows.find((candidate) => candidate.step === finding.step)?.key ?? selected)
  const neighbour = (by: number) => {
    const id = props.pieces[props.pieces.indexOf(piece.id) + by]
    if (id) router.visit(`/pieces/${id}/schedule`)
  }
  const walk = (by: number) => {
    const at = sheet.rows.findIndex((candidate) => candidate.key === row?.key)
    setSelected(sheet.rows[Math.min(Math.max(at + by, 0), sheet.rows.length - 1)]?.key ?? null)
  }
  // The clock went on while the page was out of sight.
  useEffect(() => {
    const back = () => document.visibilityState === "visible" && void state.reload()
    document.addEventListener("visibilitychange", back)
    return () => document.removeEventListener("visibilitychange", back)
  }, [state.reload])
  useKeys({
    ArrowDown: () => walk(1),
    ArrowUp: () => walk(-1),
    ArrowLeft: () => nudge(-5),
    ArrowRight: () => nudge(5),
    "Shift+ArrowUp": () => wet(5),
    "Shift+ArrowDown": () => wet(-5),
    n: () => setAdding(true),
    f: () => {
      const remedy = firstRemedy(sheet)
      if (remedy?.operation) apply(remedy.operation, remedy.label)
    },
    z: () => state.undo(),
    "Shift+z": () => state.redo(),
    t: () => setTable((before) => !before),
    h: () => setHistory(true),
    l: () => looks && setLight(nextLight(looks.lights, light)),
    "[": () => neighbour(-1),
    "]": () => neighbour(1),
  })
  const pendingSteps = useMemo(
    () => new Set(state.waiting.map((operation) => ("id" in operation ? operation.id : ""))),
    [state.waiting],
  )
  const pending = (field: string) =>
    state.waiting.some(
      (operation) => operation.op === "change_step" && operation.id === step?.id && field in operation.set,
    )
  const faces = piece.faces.map((face) => face.name)
  const beside = state.trouble && besideField(state.trouble.error, step, sheet.document.steps)
  const error = (field: string) => (beside === field ? state.trouble?.error.sentence : undefined)

  return (
    <Shell keys={KEYS}>
      <Head title={`Schedule of ${piece.name}`} />
      <Patterns />
      <PieceHead
        state={state}
        pieces={props.pieces}
        house={props.house}
        chance={chance}
        go={neighbour}
        preview={preview?.sheet ?? null}
        picture={table || sheet.rows.length === 0 ? null : pictureOf(piece, sheet)}
        onHistory={() => setHistory(true)}
      />
      <p className="sr-only" role="status" aria-live="polite">
        {state.announced}
      </p>
      {state.stale && <StaleBar stale={state.stale} zone={sheet.zone} onReapply={state.reapply} onDrop={state.leave} />}
      {state.trouble && !beside && (
        <div className="ui-trouble" role="alert">
          <p>{state.trouble.error.sentence}</p>
          {state.trouble.unsent.length > 0 && (
            <button type="button" className="ui-button" data-tone="dark" onClick={state.again}>
              Try again
            </button>
          )}
          <button type="button" className="ui-button" onClick={state.dismiss}>
            All right
          </button>
        </div>
      )}
      <div className="schedule-grid">
        <div className="schedule-main">
          <div ref={holder} className="min-w-0">
            {sheet.rows.length === 0 ? (
              <EmptySchedule piece={piece.id} onAdd={() => setAdding(true)} />
            ) : table ? (
              <SheetTable sheet={sheet} />
            ) : (
              <FilmSection
                sheet={sheet}
                wood={piece.wood}
                colour={colour}
                dye={piece.look_hex ?? "var(--dye)"}
                width={width}
                height={sectionHeight(viewport)}
                axis={axis}
                foot={
                  // Its place is kept until the looks are there, so that nothing moves.
                  looks === null
                    ? undefined
                    : {
                        height: BAND,
                        draw: (top) =>
                          looks && <LookBand {...{ looks, sheet, light, axis, top }} step={row?.step ?? null} />,
                      }
                }
                selected={row?.key ?? null}
                ghost={preview?.sheet.section ?? null}
                chance={preview ? null : chance}
                onScroll={setScrolled}
                onSelect={setSelected}
                onMove={move}
              />
            )}
            {sheet.rows.length > 0 && (
              <div className="key-line">
                <StripKey also={{ label: "hands elsewhere", swatch: "var(--firm)" }} />
                {looks && (
                  <LightSwitch lights={looks.lights} light={light} onLight={setLight} place={props.piece.light} />
                )}
                <FaceChoice faces={faces} face={sheet.section.face} onChange={state.show} />
              </div>
            )}
          </div>
          {trial.words && (
            <TryBar sheet={sheet} then={trial.sheet} words={trial.words} onKeep={trial.keep} onLeave={trial.leave} />
          )}
          {row && (
            <Detail
              sheet={sheet}
              row={row}
              shelf={props.shelf}
              rooms={props.rooms}
              faces={faces}
              edges={piece.faces.filter((face) => face.kind === "edges").map((face) => face.name)}
              pointer={table ? null : LEFT + axis.x(row.work_start) - scrolled}
              look={
                looks && (
                  <LookTab
                    looks={looks}
                    sheet={sheet}
                    step={row.step}
                    light={light}
                    approval={state.approval}
                    onSelect={(id) => setSelected(sheet.rows.find((other) => other.step === id)?.key ?? selected)}
                  />
                )
              }
              piece={piece.id}
              colours={aroundStep(looks ?? null, light, row.step)}
              desk={`/boards/colour?piece=${piece.id}&step=${row.step}`}
              pending={pending}
              error={error}
              onEdit={state.edit}
              onNear={state.near}
              onSplitAndSet={splitAndSet}
              onTry={trial.begin}
              onMove={move}
              onUnpin={unpin}
            />
          )}
        </div>
        <div className="schedule-side">
          <StepList
            sheet={sheet}
            shelf={props.shelf}
            selected={row?.key ?? null}
            pending={pendingSteps}
            onSelect={setSelected}
            onEdit={state.edit}
          />
          <StepTools state={state} table={table} onAdd={() => setAdding(true)} onTable={() => setTable(!table)} />
          <SideTabs
            state={state}
            remedies={remedies}
            chance={chance}
            ready={ready}
            onApply={apply}
            onAsk={ask}
            onDrop={drop}
            onSelect={select}
          />
        </div>
      </div>
      <AddStep
        open={adding}
        onOpenChange={setAdding}
        url={state.url}
        after={row?.step ?? null}
        revision={state.schedule.revision}
        afterWords={row ? `after ${row.words}` : ""}
        onAdd={(added) => {
          setAdding(false)
          add(added)
        }}
      />
      <History open={history} onOpenChange={setHistory} url={state.url} zone={sheet.zone} />
    </Shell>
  )
}
