import { type KeyboardEvent, useEffect, useRef, useState } from "react"
import { LevelMark, Tick } from "@/components/Marks"
import { clock, parts } from "@/lib/time"
import { type Measure, useMeasures } from "@/lib/units"
import type { Finding, Operation, Row, Sheet, ShelfItem } from "@/types"
import { PHASES } from "@/types/kinds"
import { rowWords } from "./differs"

type Props = {
  sheet: Sheet
  shelf: ShelfItem[]
  selected: string | null
  pending: Set<string>
  onSelect: (key: string) => void
  onEdit: (operation: Operation) => void
}

/** Steps in working order: the one listbox of the screen. Up and down walk it; the film profile grows beside it. */
export function StepList({ sheet, shelf, selected, pending, onSelect, onEdit }: Props) {
  const { film } = useMeasures()
  const list = useRef<HTMLUListElement>(null)
  const [wanted, setPhase] = useState("")
  const phase = sheet.rows.some((row) => row.key === selected && row.phase !== wanted) ? "" : wanted
  const rows = phase ? sheet.rows.filter((row) => row.phase === phase) : sheet.rows
  const most = Math.max(40, ...sheet.rows.map((row) => row.film_um ?? 0))
  // biome-ignore lint/correctness/useExhaustiveDependencies: the option to show follows what is selected
  useEffect(() => {
    const option = list.current?.querySelector('[aria-selected="true"]') as HTMLElement | null
    const box = list.current
    if (!option || !box) return
    if (box.contains(document.activeElement)) {
      option.scrollIntoView({ block: "nearest" })
      option.focus({ preventScroll: true })
    } else {
      // Inside the list only: the page stays where it is.
      const top = option.offsetTop - box.offsetTop
      box.scrollTop = Math.min(Math.max(box.scrollTop, top + option.offsetHeight - box.clientHeight), top)
    }
  }, [selected])
  const walk = (event: KeyboardEvent) => {
    const at = rows.findIndex((row) => row.key === selected)
    const to = { ArrowDown: at + 1, ArrowUp: at - 1, Home: 0, End: rows.length - 1 }[event.key]
    if (to === undefined || event.shiftKey) return
    event.preventDefault()
    event.stopPropagation()
    const row = rows[Math.min(Math.max(to, 0), rows.length - 1)]
    if (row) onSelect(row.key)
  }
  return (
    <section aria-label="Steps in working order" className="step-list">
      <div className="step-head text-fine text-third">
        {sheet.rows.length > FOLDED_FROM ? (
          <PhaseChoice
            rows={sheet.rows}
            phase={phase}
            onChoose={(next) => {
              setPhase(next)
              const first = sheet.rows.find((row) => row.phase === next)
              if (first) onSelect(first.key)
            }}
          />
        ) : (
          <span aria-hidden="true">Step</span>
        )}
        <span aria-hidden="true">Starts</span>
        <span className="text-right" aria-hidden="true">
          film
        </span>
        <span className="text-right" aria-hidden="true">
          after, {film.unit}
        </span>
      </div>
      <ul ref={list} role="listbox" aria-label="Steps" onKeyDown={walk}>
        {rows.map((row, index) => (
          <StepRow
            key={row.key}
            row={row}
            words={rowWords(
              row,
              sheet.document.steps.find(({ id }) => id === row.step),
              sheet.document.steps,
              shelf,
              film,
            )}
            sheet={sheet}
            most={most}
            before={before(sheet, row)}
            on={row.key === selected}
            first={index === 0 && !selected}
            pending={pending.has(row.step)}
            onSelect={onSelect}
          />
        ))}
      </ul>
      {sheet.unplaced.length > 0 && (
        <ul aria-label="Steps that cannot be placed">
          {sheet.unplaced.map((step) => (
            <li key={step.id} className="step-row" data-state="unplaced">
              <span className="step-number">{step.number}</span>
              <span className="step-words">{step.words}</span>
              <span className="step-start">no date</span>
              <button
                type="button"
                className="ui-button"
                data-quiet
                onClick={() => onEdit({ op: "remove_step", id: step.id })}
                aria-label={`Remove ${step.words}`}
              >
                Remove
              </button>
            </li>
          ))}
        </ul>
      )}
    </section>
  )
}

/** Longer lists can be folded to one phase of the work. */
const FOLDED_FROM = 10

function PhaseChoice(props: { rows: Row[]; phase: string; onChoose: (phase: string) => void }) {
  const count = (phase: string) => props.rows.filter((row) => row.phase === phase).length
  return (
    <label className="line-choice">
      <span className="sr-only">Steps of</span>
      <select value={props.phase} onChange={(event) => props.onChoose(event.target.value)}>
        <option value="">All {props.rows.length} steps</option>
        {PHASES.filter(([phase]) => count(phase) > 0).map(([phase, name]) => (
          <option key={phase} value={phase}>
            {name}, {count(phase)}
          </option>
        ))}
      </select>
    </label>
  )
}

/** Film before a row: after the last one above it that changed any. */
const before = (sheet: Sheet, row: Row): number =>
  sheet.rows.slice(0, sheet.rows.indexOf(row)).findLast((other) => other.film_um !== null)?.film_um ?? 0

type RowProps = {
  row: Row
  words: string
  sheet: Sheet
  most: number
  before: number
  on: boolean
  first: boolean
  pending: boolean
  onSelect: (key: string) => void
}

function StepRow({ row, words, sheet, most, before, on, first, pending, onSelect }: RowProps) {
  const { film } = useMeasures()
  const level = worst(sheet.findings, row)
  return (
    // biome-ignore lint/a11y/useKeyWithClickEvents: the listbox takes the keys
    <li
      role="option"
      aria-selected={on}
      tabIndex={on || first ? 0 : -1}
      className="step-row"
      data-state={on ? "selected" : row.status}
      onClick={() => onSelect(row.key)}
    >
      <span className="step-number">{row.status === "done" ? <Tick /> : row.inserted ? "+" : row.number}</span>
      <span className="step-words">{words}</span>
      {level && <LevelMark level={level} size={20} />}
      <span className={`step-start ${pending ? "ui-pending" : ""}`}>{starts(row, sheet)}</span>
      <span className="step-change">{change(row, film)}</span>
      <FilmBar um={row.film_um ?? before} most={most} least={sheet.section.least_um} />
      <span className="step-after">{row.film_um !== null && row.film_um > 0 ? film.number(row.film_um) : ""}</span>
    </li>
  )
}

/** One row of the film profile: the build down the list, with the least film as a dashed rule. */
function FilmBar({ um, most, least }: { um: number; most: number; least: number | null }) {
  const share = (value: number) => `${Math.min((value / (most * 1.05)) * 100, 100)}%`
  return (
    <span className="film-bar" aria-hidden="true">
      <span className="film-bar-fill" style={{ width: share(um), borderRightWidth: um > 0 ? 1.3 : 0 }} />
      {least ? <span className="film-bar-least" style={{ left: share(least) }} /> : null}
    </span>
  )
}

const LEVELS = ["note", "caution", "stop"]

function worst(findings: Finding[], row: Row): string | null {
  const mine = findings.filter((finding) =>
    finding.pass
      ? [finding.pass, ...finding.also.map((other) => other.pass)].includes(row.key)
      : finding.step === row.step,
  )
  return (
    mine
      .map((finding) => finding.level as string)
      .sort((one, other) => LEVELS.indexOf(other) - LEVELS.indexOf(one))[0] ?? null
  )
}

/** With its sign; what takes off a hair, finer. */
function change({ change_um: um }: Row, film: Measure): string {
  if (um === null || um === 0) return ""
  return um > 0 ? `+ ${film.number(um)}` : `− ${film.number(-um, um > -1 ? 1 : 0)}`
}

/** "Mon 13:15" in this week, "2 Dec 07:30" later. */
function starts(row: Row, sheet: Sheet): string {
  const { weekday, day, month } = parts(row.work_start, sheet.zone)
  const near = Math.abs(row.work_start - sheet.now) < 6 * 1440
  return `${near ? weekday : `${day} ${month}`} ${clock(row.work_start, sheet.zone)}`
}
