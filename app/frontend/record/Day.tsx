import { Link } from "@inertiajs/react"
import { clock, duration } from "@/lib/time"
import { mass, useMeasures, useUnits } from "@/lib/units"
import type { RecordLine, RecordPage } from "@/types"

/** Columns of all days, each as wide as on the others. */
const COLUMNS: [string, string | undefined][] = [
  ["Time", "52px"],
  ["Piece", "150px"],
  ["Work", "258px"],
  ["What became of it", undefined],
  ["By", "76px"],
  ["Hands", "130px"],
  ["Film", "66px"],
  ["Air", "96px"],
  ["Mix", "72px"],
]

type Props = { day: RecordPage["days"][number]; zone: string }

/** A day of the diary: what its hands came to, and its entries, the last first. */
export function Day({ day, zone }: Props) {
  return (
    <section aria-label={dated(day.date)} className="record-day">
      <h2 className="text-head">
        {dated(day.date)}
        {day.reckoned_min > 0 && (
          <span className="text-second text-fine">
            {" "}
            {duration(day.hands_min)} of hands, reckoned {duration(day.reckoned_min)}
          </span>
        )}
      </h2>
      <table className="record-lines">
        <colgroup>
          {COLUMNS.map(([name, width]) => (
            <col key={name} style={{ width }} />
          ))}
        </colgroup>
        <thead className="sr-only">
          <tr>
            {COLUMNS.map(([name]) => (
              <th key={name} scope="col">
                {name}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {day.lines.map((line) => (
            <Line key={line.id} line={line} zone={zone} />
          ))}
        </tbody>
      </table>
    </section>
  )
}

function Line({ line, zone }: { line: RecordLine; zone: string }) {
  const { film, temperature } = useMeasures()
  const [system] = useUnits()
  const { done, piece } = line
  return (
    <tr data-kind={line.kind} data-taken={line.taken_back !== null || undefined}>
      <td className="record-time">{clock(line.at, zone)}</td>
      <td className="record-piece">
        {piece && (
          <Link href={`/record?piece=${piece.id}`} className="underline underline-offset-2">
            {piece.name}
          </Link>
        )}
      </td>
      <td>{line.subject}</td>
      <td>
        {line.words}
        {line.photos > 0 && (
          <span className="text-fine">
            {" "}
            · {line.photos} photo{line.photos === 1 ? "" : "s"}
          </span>
        )}
        {line.taken_back !== null && <span className="text-fine block">taken back {clock(line.taken_back, zone)}</span>}
        {line.kind === "started" && line.planned_at !== null && Math.abs(line.at - line.planned_at) >= 5 && (
          <span className="text-fine block">
            planned {clock(line.planned_at, zone)}, {duration(Math.abs(line.at - line.planned_at))}{" "}
            {line.at > line.planned_at ? "later" : "sooner"}
          </span>
        )}
      </td>
      <td>{line.person}</td>
      <td className="record-figure">
        {done && done.hands_min !== null && <Hands took={done.hands_min} reckoned={done.reckoned_min} />}
      </td>
      <td className="record-figure">{done && done.film_um !== null && film.text(done.film_um)}</td>
      <td className="record-figure">{done && `${temperature.text(done.t_c)}, ${done.rh} %`}</td>
      <td className="record-figure">{done && done.g !== null && mass(done.g, system)}</td>
    </tr>
  )
}

/** What it took in a bar to the scale of what was reckoned: the notch. */
function Hands({ took, reckoned }: { took: number; reckoned: number }) {
  const most = Math.max(took, reckoned, 1)
  const share = (min: number) => (min / most) * 56
  return (
    <span className="record-hands">
      <svg width="60" height="10" role="img" aria-label={`${duration(took)}, reckoned ${duration(reckoned)}`}>
        <rect x="0" y="2" width={share(took)} height="6" fill="var(--ink)" />
        <path d={`M${share(reckoned) + 1} 0V10`} stroke="var(--tape-ink)" strokeWidth="2" />
      </svg>
      {duration(took)}
    </span>
  )
}

const dated = (date: string) =>
  new Intl.DateTimeFormat("en-GB", {
    weekday: "short",
    day: "numeric",
    month: "long",
    year: "numeric",
    timeZone: "UTC",
  }).format(new Date(`${date}T12:00Z`))
