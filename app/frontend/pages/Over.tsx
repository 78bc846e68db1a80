import { Head, Link } from "@inertiajs/react"
import { useCallback, useMemo } from "react"
import { ErrorText } from "@/components/ErrorText"
import { PageHead } from "@/components/PageHead"
import { Shell } from "@/components/Shell"
import { Switch } from "@/components/Switch"
import { Patterns } from "@/drawing/Patterns"
import { send } from "@/lib/api"
import { useAnswer } from "@/lib/requests"
import { duration } from "@/lib/time"
import { useFields } from "@/lib/useFields"
import { Joint } from "@/over/Joint"
import { VerdictKey } from "@/over/Marks"
import { Square } from "@/over/Square"
import { titleOf } from "@/over/verdicts"
import type { OverAnswer, OverPage } from "@/types"

const STATES: [string, string][] = [
  ["fresh", "fresh"],
  ["open", "in its window"],
  ["cured", "hard"],
]
const RESIDUES: [string, string][] = [
  ["none", "nothing"],
  ["wax", "wax"],
  ["oil", "oil"],
]

/** What goes over what: choose what is there and what shall go on; read the verdict, the way, and who says so. */
export default function Over({ kinds, products, ...asked }: OverPage) {
  const [fields, set] = useFields(() => ({
    lower: asked.lower ?? products[0]?.id ?? "shellac",
    upper: asked.upper ?? "waterborne_one_part",
    state: "open",
    sanded: false,
    residue: "none",
  }))
  const { answer, error } = useAnswer({
    key: ["over", fields],
    ask: (signal) => send<OverAnswer>("POST", "/shelf/over", fields, signal),
    keep: true,
  })
  const choose = useCallback((lower: string, upper: string) => set({ lower, upper }), [set])
  const groups = useMemo(
    () => (
      <>
        {products.length > 0 && (
          <optgroup label="On the shelf">
            {products.map((product) => (
              <option key={product.id} value={product.id}>
                {product.name}
              </option>
            ))}
          </optgroup>
        )}
        <optgroup label="Any of its kind">
          {kinds.map((kind) => (
            <option key={kind.id} value={kind.id}>
              {kind.name}
            </option>
          ))}
        </optgroup>
      </>
    ),
    [kinds, products],
  )
  return (
    <Shell>
      <Head title="Over what?" />
      <Patterns />
      <PageHead
        title="Over what?"
        facts={
          <>
            <Link href="/shelf" className="underline underline-offset-2">
              Shelf
            </Link>{" "}
            · what is there, what shall go on, and whether it holds ·{" "}
            <Link href="/handbook/shelf#over" className="underline underline-offset-2">
              Why this is so
            </Link>
          </>
        }
      />
      <div className="over-grid">
        <div className="over-ask">
          <div className="over-form">
            <label className="ui-field">
              What is there
              <select
                className="ui-input"
                value={fields.lower}
                onChange={(event) => set({ lower: event.target.value })}
              >
                <option value="old">an old finish that nobody knows</option>
                {groups}
              </select>
            </label>
            <label className="ui-field">
              What shall go on
              <select
                className="ui-input"
                value={fields.upper}
                onChange={(event) => set({ upper: event.target.value })}
              >
                {groups}
              </select>
            </label>
            <div className="flex flex-wrap items-center gap-x-3">
              <span className="text-label">It is</span>
              <Switch
                label="How it is now"
                value={fields.state}
                options={STATES}
                onChange={(state) => set({ state })}
              />
            </div>
            <div className="flex flex-wrap items-center gap-x-3">
              <span className="text-label">On it</span>
              <Switch
                label="What lies on it"
                value={fields.residue}
                options={RESIDUES}
                onChange={(residue) => set({ residue })}
              />
            </div>
            <label className="ui-check">
              <input
                type="checkbox"
                checked={fields.sanded}
                onChange={(event) => set({ sanded: event.target.checked })}
              />
              It was scuffed since it hardened
            </label>
            <ErrorText reason={error} />
          </div>
          {answer && (
            <section aria-label="Verdict" aria-live="polite" className="mt-2">
              <Joint answer={answer} residue={fields.residue} />
              <h2 className="panel-title mt-1">{titleOf(answer.verdict)}</h2>
              <p>{answer.why}</p>
              {answer.way.length > 0 && (
                <ol className="over-way">
                  {answer.way.map((way) => (
                    <li key={way.words}>
                      {way.words}
                      {way.do === "board" && (
                        <>
                          {": "}
                          <Link href="/boards/new" className="underline">
                            lay one out
                          </Link>
                        </>
                      )}
                      {way.min !== null ? `: ${duration(way.min)}` : ""}
                    </li>
                  ))}
                </ol>
              )}
              <p className="text-second text-fine">Says: {answer.source}.</p>
              {answer.tried.map((board) => (
                <p key={board.words} className="text-second text-fine">
                  Tried here:{" "}
                  <Link href={`/boards/${board.board_id}`} className="underline">
                    {board.words}
                  </Link>
                </p>
              ))}
            </section>
          )}
        </div>
        <div className="min-w-0">
          {answer && (
            <>
              <Square
                kinds={kinds}
                square={answer.square}
                lower={answer.lower_kind}
                upper={answer.upper_kind}
                onChoose={choose}
              />
              <VerdictKey />
            </>
          )}
        </div>
      </div>
    </Shell>
  )
}
