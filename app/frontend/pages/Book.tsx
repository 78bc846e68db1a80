import { Head, Link, router } from "@inertiajs/react"
import { useState } from "react"
import { Applied, type Set as Chosen } from "@/book/Applied"
import { KeepSchedule } from "@/book/KeepSchedule"
import { Recipe } from "@/book/Recipe"
import { ErrorText } from "@/components/ErrorText"
import { PageHead } from "@/components/PageHead"
import { Shell } from "@/components/Shell"
import { TakeInFile } from "@/components/TakeInFile"
import { send as request } from "@/lib/api"
import { useSend } from "@/lib/requests"
import type { BookPage } from "@/types"

const BOOK = "/pieces/book"

/** The recipe book: schedules that are kept, what of them may be varied, and what one would be for another piece. */
export default function Book(first: BookPage) {
  const [state, setState] = useState(first)
  const { recipes, recipe, pieces } = state
  const [piece, setPiece] = useState<number | null>(first.piece)
  const [set, setSet] = useState<Chosen>(first.set)
  const { send, busy, error } = useSend()
  const show = (id: number, version?: number) =>
    router.visit(BOOK, {
      data: { recipe: id, ...(piece ? { piece } : {}), ...(version ? { version } : {}) },
      preserveScroll: true,
    })
  const change = (fields: { parameters?: string[]; name?: string; says?: string }) =>
    send(() => request<BookPage>("PATCH", `${BOOK}/${recipe?.id}`, fields), setState)
  const remove = () =>
    send(
      () => request<BookPage>("DELETE", `${BOOK}/${recipe?.id}`),
      () => router.visit(BOOK),
    )
  return (
    <Shell>
      <Head title="Recipe book" />
      <PageHead
        title="Recipe book"
        facts="Schedules that have proved themselves, for the next piece: matched to its faces and to what is on the shelf."
      >
        <div className="ml-auto flex flex-wrap items-end gap-3">
          <KeepSchedule pieces={pieces} recipes={recipes} />
          <TakeInFile path="/pieces/book/file" label="A recipe as a file" onTaken={setState} />
          <Link href="/pieces" className="ui-button">
            Jobs and pieces
          </Link>
        </div>
      </PageHead>
      <ErrorText reason={error} />
      {recipes.length === 0 || !recipe ? (
        <section className="ui-empty surface-lit">
          <h2 className="panel-title">Nothing in the book yet</h2>
          <p className="text-second">
            When a schedule or a cell of a board has turned out well, keep it here. What it says of coats, cut,
            strength, sheen and grit can be set anew for each piece.
          </p>
        </section>
      ) : (
        <div className="book-grid">
          <nav aria-label="Recipes">
            <ul className="book-list">
              {recipes.map((line) => (
                <li key={line.id}>
                  <button
                    type="button"
                    className="book-line"
                    data-state={line.id === recipe.id ? "on" : undefined}
                    aria-current={line.id === recipe.id || undefined}
                    onClick={() => show(line.id)}
                  >
                    <b>{line.name}</b>
                    <span className="text-second text-fine block">
                      {[
                        line.wood,
                        `${line.steps} ${line.steps === 1 ? "step" : "steps"}`,
                        line.version > 1 && `version ${line.version}`,
                        line.pieces > 0 && `on ${line.pieces} ${line.pieces === 1 ? "piece" : "pieces"}`,
                      ]
                        .filter(Boolean)
                        .join(" · ")}
                    </span>
                  </button>
                </li>
              ))}
            </ul>
          </nav>
          <Recipe
            key={`${recipe.id} ${recipe.number}`}
            recipe={recipe}
            zone={state.zone}
            values={set.values}
            busy={busy}
            onVersion={(number) => show(recipe.id, number)}
            onValue={(key, value) => setSet({ ...set, values: { ...set.values, [key]: value } })}
            onChange={(fields) => void change(fields)}
            onRemove={() => void remove()}
          />
          <Applied
            recipe={recipe}
            pieces={pieces}
            piece={piece}
            set={set}
            zone={state.zone}
            now={state.now}
            currency={state.currency}
            onPiece={setPiece}
            onProduct={(there, here) => setSet({ ...set, products: { ...set.products, [there]: here } })}
          />
        </div>
      )}
    </Shell>
  )
}
