import { Head, Link, router } from "@inertiajs/react"
import { useMemo } from "react"
import { FilmGrowth } from "@/compare/FilmGrowth"
import { figures } from "@/compare/figures"
import { SelectField } from "@/components/Field"
import { PageHead } from "@/components/PageHead"
import { Shell } from "@/components/Shell"
import { Trouble } from "@/components/Trouble"
import { SavePicture } from "@/drawing/save/SavePicture"
import { send as request } from "@/lib/api"
import { useAnswer, useSend } from "@/lib/requests"
import { day } from "@/lib/time"
import { useMeasures } from "@/lib/units"
import type { ComparePage, Side, SideChance } from "@/types"

const MOST = 3

/** How likely the dates are: drawn from many runs, behind the page; null until they are there. */
function useChances(piece: number, revision: number, wanted: string[]): Map<string, SideChance> | null {
  const query = new URLSearchParams([["piece", String(piece)], ...wanted.map((key) => ["with[]", key])])
  const { answer } = useAnswer({
    key: ["compare", "chances", revision, query.toString()],
    ask: (signal) => request<{ chances: SideChance[] }>("GET", `/pieces/compare/chances?${query}`, undefined, signal),
    quiet: true,
  })
  return useMemo(() => answer && new Map(answer.chances.map((chance) => [chance.key, chance])), [answer])
}

/**
 * Two to four schedules for one piece side by side: films to one scale, the same figures in rows, differences in words.
 */
export default function CompareSchedules(props: ComparePage) {
  const { piece, sides, zone } = props
  const { send, error, dismiss } = useSend()
  const visit = (id: number, wanted: string[]) =>
    router.visit("/pieces/compare", { data: { piece: id, with: wanted }, preserveScroll: true })
  const take = (side: Side) =>
    send(
      () =>
        request("POST", `/pieces/${piece.id}/schedule/edits`, {
          operation: side.operation,
          base: piece.revision,
          reason: side.label,
        }),
      () => router.visit(`/pieces/${piece.id}/schedule`),
    )
  const free = props.choices.filter((choice) => !props.wanted.includes(choice.key))
  const { film } = useMeasures()
  const chances = useChances(piece.id, piece.revision, props.wanted)
  const rows = figures(sides, chances, zone, props.currency, film)
  const most = Math.max(60, ...sides.flatMap((side) => side.film.map(([, um]) => um)))
  const from = Math.min(...sides.map((side) => side.film[0]?.[0] ?? props.now))
  const to = Math.max(...sides.map((side) => Math.max(side.ready_at ?? 0, side.film.at(-1)?.[0] ?? 0)), from + 1440)
  return (
    <Shell>
      <Head title={`Compare schedules of ${piece.name}`} />
      <PageHead
        title="Compare schedules"
        facts={
          <>
            For {piece.name}, {piece.wood}. Each is planned with all other work in the shop; nothing is changed by
            looking.
          </>
        }
      >
        <div className="ml-auto flex flex-wrap items-end gap-3">
          <SelectField
            label="Piece"
            value={String(piece.id)}
            options={props.pieces.map((other): [string, string] => [String(other.id), other.name])}
            onChange={(id) => visit(Number(id), [])}
          />
          <Link href={`/pieces/${piece.id}/schedule`} className="ui-button">
            Its schedule
          </Link>
          <SavePicture
            picture={{
              title: `${piece.name}: ${sides.map((side) => side.label).join(", ")}`,
              file: `${piece.name} compared`,
              parts: () => [...document.querySelectorAll(".compare-columns, .compare-table")],
            }}
          />
        </div>
      </PageHead>
      <Trouble sentence={error?.sentence ?? ""} onRead={dismiss} />
      {props.refused.map((refusal) => (
        <p key={refusal.key} className="ui-trouble" role="alert">
          {refusal.sentence}
        </p>
      ))}
      <div
        className="compare-columns"
        style={{ "--sides": Math.min(sides.length + 1, MOST + 1) } as React.CSSProperties}
      >
        {sides.map((side, index) => (
          <section key={side.key} className="compare-side" aria-label={side.label}>
            <h2 className="panel-title">{side.label}</h2>
            <p className="text-second text-fine side-words">
              {index === 0
                ? "What the others are held against."
                : side.differs.length
                  ? `${sentence(side.differs)}.`
                  : "Comes to the same."}
            </p>
            <FilmGrowth
              side={side}
              dates={chances?.get(side.key)?.dates ?? []}
              from={from}
              to={to}
              most={most}
              zone={zone}
            />
            {index > 0 && (
              <div className="flex gap-2">
                {side.operation !== null && (
                  <button type="button" className="ui-button" data-tone="dark" onClick={() => void take(side)}>
                    Take this one
                  </button>
                )}
                <button
                  type="button"
                  className="ui-button"
                  data-quiet
                  onClick={() =>
                    visit(
                      piece.id,
                      props.wanted.filter((key) => key !== side.key),
                    )
                  }
                >
                  Put away
                </button>
              </div>
            )}
          </section>
        ))}
        {sides.length <= MOST && free.length > 0 && (
          <section className="compare-side" aria-label="Another schedule" data-unsaved>
            <SelectField
              label={sides.length === 1 ? "Hold it against" : "And against"}
              value=""
              options={[
                ["", "choose a schedule"],
                ...free.map((choice): [string, string] => [choice.key, choice.label]),
              ]}
              onChange={(key) => key && visit(piece.id, [...props.wanted, key])}
            />
            <p className="text-second text-fine mt-2">
              Laid on by another method to the same dry film, as another piece has it, or as it was before.
            </p>
          </section>
        )}
      </div>
      <table className="compare-table">
        <caption className="sr-only">Figures of each schedule</caption>
        <thead>
          <tr>
            <th scope="col">From {day(from, zone)} on</th>
            {sides.map((side) => (
              <th key={side.key} scope="col">
                {side.label}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {rows.map((row) => (
            <tr key={row.label}>
              <th scope="row">{row.label}</th>
              {row.values.map((value, index) => (
                <td key={sides[index]?.key} data-state={row.best === index ? "best" : undefined}>
                  {value}
                </td>
              ))}
            </tr>
          ))}
        </tbody>
      </table>
      <p className="text-second text-fine mt-2">
        The best of a row is set heavier and underlined. A figure that a sheet or a price is missing for is left open.
      </p>
    </Shell>
  )
}

const sentence = (parts: string[]) => parts.join(", ").replace(/^./, (letter) => letter.toUpperCase())
