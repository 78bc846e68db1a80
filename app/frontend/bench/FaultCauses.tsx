import { useState } from "react"
import { send } from "@/lib/api"
import { useAnswer } from "@/lib/requests"
import type { Fault } from "@/types"
import type { Touch } from "./touch"

type Cause = { says: string; told: "for" | "open" | "against"; words: string | null; asks: string | null }
/** What goes into the log beside the fault: what it came from, and what was asked. */
export type Found = Pick<Touch, "cause" | "answers" | "size_mm">
export const NOTHING: Found = {}

const MARK = { for: "it speaks for it", open: "not known", against: "it speaks against it" }

type Props = { fault: Fault; pass: string; found: Found; onFound: (found: Found) => void }

/**
 * What a fault likely came from, in the order of what speaks for it at that hour; a few questions where nothing is
 * known. The cause that the hand believes goes into the log.
 */
export function FaultCauses({ fault, pass, found, onFound }: Props) {
  const [answers, setAnswers] = useState<Record<string, boolean>>({})
  const asked = (yes: boolean) =>
    Object.keys(answers)
      .filter((says) => answers[says] === yes)
      .join(";")
  const query = new URLSearchParams({ pass, causes: "only", yes: asked(true), no: asked(false) })
  const { answer } = useAnswer({
    key: ["causes", fault.id, pass, answers],
    ask: (signal) => send<{ causes: Cause[] }>("GET", `/faults/${fault.id}?${query}`, undefined, signal),
    keep: true,
  })
  const say = (cause: Cause, yes: boolean) => {
    const next = { ...answers, [cause.says]: yes }
    setAnswers(next)
    onFound({ ...found, answers: next, ...(yes ? { cause: cause.says } : {}) })
  }
  if (!answer) return <p className="text-second mt-2">Likely from: {fault.causes.join(", ")}.</p>
  return (
    <fieldset className="fault-causes">
      <legend>Where it came from: touch what it was</legend>
      {answer.causes.map((cause) => (
        <div key={cause.says} data-told={cause.told}>
          <label>
            <input
              type="radio"
              name="cause"
              checked={found.cause === cause.says}
              onChange={() => onFound({ ...found, cause: cause.says })}
            />
            <span>
              <b>{cause.says}</b>
              {cause.words && <span className="text-second text-fine block">{cause.words}</span>}
            </span>
            <span className="sr-only">{MARK[cause.told]}</span>
          </label>
          {cause.asks && (
            <p>
              {cause.asks}
              <button type="button" className="ui-button" onClick={() => say(cause, true)}>
                Yes
              </button>
              <button type="button" className="ui-button" onClick={() => say(cause, false)}>
                No
              </button>
            </p>
          )}
        </div>
      ))}
    </fieldset>
  )
}
