import { ErrorText } from "@/components/ErrorText"
import { send as request } from "@/lib/api"
import { useAnswer, useSend } from "@/lib/requests"
import { duration, when } from "@/lib/time"
import type { Goal, ShopPlan } from "@/types"

const WORDS: Record<Goal["name"], [string, string]> = {
  promises: ["Meet due dates", "the date most at risk first, then finish as early as possible"],
  soonest: ["Ready soonest", "in time first, then the last date as early as can be"],
  fewest_sessions: ["Fewest sessions", "a piece is taken up on as few days as can be"],
  least_hands: ["Least hands-on", "as few minutes of hands as can be"],
  late_as_safe: ["Late as is safe", "in time on nine days of ten, and begun as late as that allows"],
}

export const AIMS: Record<string, string> = Object.fromEntries(
  Object.entries(WORDS).map(([name, [words]]) => [name, words.toLowerCase()]),
)

/** What the plan could aim at, each with what it would change; one touch takes it. */
export function Goals({
  plan,
  goal,
  onChosen,
}: {
  plan: Pick<ShopPlan, "zone" | "now">
  goal: string
  onChosen: () => void
}) {
  const { send, error } = useSend()
  const goals = useAnswer({
    key: ["plan", "goals"],
    ask: (signal) => request<{ goals: Goal[] }>("GET", "/pieces/plan/goals", undefined, signal),
    quiet: true,
  }).answer?.goals
  const now = goals?.find((candidate) => candidate.name === goal)
  const choose = (name: string) => send(() => request("POST", "/shop/goal", { goal: name }), onChosen)
  return (
    <section id="goals" className="ruled pt-2" aria-label="What the plan aims at">
      <h2 className="text-head">What the plan aims at</h2>
      <ErrorText reason={error} />
      <ul className="plan-goals">
        {(Object.keys(WORDS) as Goal["name"][]).map((name) => {
          const answer = goals?.find((candidate) => candidate.name === name)
          return (
            <li key={name}>
              <button
                type="button"
                className="plan-goal"
                aria-pressed={name === goal}
                onClick={() => void choose(name)}
              >
                <b>{WORDS[name][0]}</b>
                <span className="text-fine text-second">{answer ? says(answer, now, plan.zone) : "planning"}</span>
                <span className="text-fine text-second">
                  {name === goal ? WORDS[name][1] : answer && now ? differs(answer, now) : ""}
                </span>
              </button>
            </li>
          )
        })}
      </ul>
    </section>
  )
}

const says = (answer: Goal, now: Goal | undefined, zone: string) =>
  [
    answer.ready_at ? `ready ${when(answer.ready_at, zone)}` : "no date",
    answer.first_at && now?.first_at !== answer.first_at ? `begins ${when(answer.first_at, zone)}` : null,
    `${answer.sessions} sessions`,
    `${duration(answer.hands_min)} of hands`,
    answer.late_min ? `${duration(answer.late_min)} late` : null,
  ]
    .filter(Boolean)
    .join(", ")

function differs(answer: Goal, now: Goal) {
  if (answer.moves === 0) return "the same plan"
  return [
    `${counted(answer.moves, "pass", "passes")} at another time`,
    less(answer.sessions - now.sessions, "session"),
    less(answer.scuffs - now.scuffs, "scuff"),
  ]
    .filter(Boolean)
    .join(", ")
}

const counted = (count: number, one: string, more = `${one}s`) => `${count} ${count === 1 ? one : more}`
const less = (by: number, word: string) =>
  by === 0 ? "" : `${counted(Math.abs(by), word)} ${by < 0 ? "fewer" : "more"}`
