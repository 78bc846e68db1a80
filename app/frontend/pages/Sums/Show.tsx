import { Head, Link } from "@inertiajs/react"
import { useMemo, useState } from "react"
import { SelectField, TextField } from "@/components/Field"
import { PageHead } from "@/components/PageHead"
import { Shell } from "@/components/Shell"
import { Patterns } from "@/drawing/Patterns"
import { send } from "@/lib/api"
import { useAnswer } from "@/lib/requests"
import type { Answer } from "@/sums/answer"
import { SumDrawing } from "@/sums/SumDrawing"
import { SUMS, type Sum } from "@/sums/sums"

/** Everyday questions, each drawn. What is typed stays while another one is looked at. */
export default function SumsShow({ first }: { first: string | null }) {
  const [id, setId] = useState(first && SUMS.some((sum) => sum.id === first) ? first : "thin_cut")
  const [typed, setTyped] = useState<Record<string, Record<string, string>>>({})
  const sum = SUMS.find((candidate) => candidate.id === id) as Sum
  const fields = useMemo(
    () => ({ ...Object.fromEntries(sum.fields.map((field) => [field.name, field.first])), ...typed[sum.id] }),
    [sum, typed],
  )
  const { answer, error } = useAnswer({
    key: ["sum", sum.id, fields],
    ask: async (signal) => ({
      id: sum.id,
      numbers: await send<Answer>("POST", "/sums", { question: sum.id, fields }, signal),
    }),
    keep: true,
  })
  const set = (name: string, value: string) => setTyped({ ...typed, [sum.id]: { ...typed[sum.id], [name]: value } })
  return (
    <Shell>
      <Head title="Small sums" />
      <Patterns />
      <PageHead
        title="Small sums"
        facts={
          <>
            <Link href="/mix" className="underline underline-offset-2">
              Mixing desk
            </Link>{" "}
            · type as you would write it: 1½ cup, 1,5 l, 2 oz
          </>
        }
      />
      <div className="sums-grid">
        <nav aria-label="Sums" className="sums-list">
          {SUMS.map((candidate) => (
            <button
              key={candidate.id}
              type="button"
              aria-current={candidate.id === id ? "true" : undefined}
              onClick={() => setId(candidate.id)}
            >
              {candidate.title}
            </button>
          ))}
        </nav>
        <section className="surface-lit small-sum" aria-label={sum.title}>
          <h2 className="panel-title">{sum.asks}</h2>
          <div className="sum-fields">
            {sum.fields.map((field) => {
              const fieldError =
                error && (error.where === field.name || error.where?.startsWith(`${field.name}/`))
                  ? error.sentence
                  : undefined
              return field.options ? (
                <SelectField
                  key={field.name}
                  label={field.label}
                  value={fields[field.name] ?? ""}
                  options={field.options}
                  error={fieldError}
                  onChange={(value) => set(field.name, value)}
                />
              ) : (
                <TextField
                  key={field.name}
                  label={field.label}
                  value={fields[field.name] ?? ""}
                  placeholder={field.hint}
                  error={fieldError}
                  onChange={(value) => set(field.name, value)}
                />
              )
            })}
          </div>
          {error &&
            !sum.fields.some((field) => error.where === field.name || error.where?.startsWith(`${field.name}/`)) && (
              <p className="error-text" role="alert">
                {error.sentence}
              </p>
            )}
          <div data-faded={error !== null} data-wide={sum.id === "grit"} className="sum-answer" aria-live="polite">
            {answer?.id === sum.id && !error && <SumDrawing id={sum.id} numbers={answer.numbers} />}
          </div>
          <p className="mt-4">
            <Link href={sum.text} className="underline underline-offset-2">
              Why this is so
            </Link>
          </p>
        </section>
      </div>
    </Shell>
  )
}
