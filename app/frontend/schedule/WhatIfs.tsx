import { Link } from "@inertiajs/react"
import { ErrorText } from "@/components/ErrorText"
import { send } from "@/lib/api"
import { useAnswer } from "@/lib/requests"
import { duration, when } from "@/lib/time"
import type { Operation, Sheet, WhatIf } from "@/types"

type Props = {
  url: string
  revision: number
  sheet: Sheet
  onApply: (operation: Operation, reason: string) => void
  onAsk: (operation: Operation) => void
  onDrop: () => void
}

/**
 * What if it were warmer, drier, with fans, elsewhere, another product, a coat less: each with the date it would bring,
 * before anything is changed.
 */
export function WhatIfs({ url, revision, sheet, onApply, onAsk, onDrop }: Props) {
  const { answer, error } = useAnswer({
    key: ["what_ifs", url, revision],
    ask: (signal) => send<{ what_ifs: WhatIf[] }>("GET", `${url}/what_ifs`, undefined, signal),
    quiet: true,
  })
  const answers = answer?.what_ifs
  return (
    <section className="what-ifs" aria-label="What if">
      <ErrorText reason={error} />
      {!answers && !error && (
        <p className="text-second" role="status">
          Planning each anew
        </p>
      )}
      {answers?.length === 0 && <p className="text-second">Neither air, room nor product would change the date.</p>}
      {answers && answers.length > 0 && (
        <ul>
          {answers.map((whatIf) => {
            const { operation } = whatIf
            const inside = (
              <>
                <b>{whatIf.label}</b>
                <span className={`text-fine ${(whatIf.gain_min ?? 0) > 0 ? "text-gain" : "text-second"}`}>
                  {whatIf.ready_at === null
                    ? "no date"
                    : `${when(whatIf.ready_at, sheet.zone)}${whatIf.gain_min === null ? "" : `, ${duration(Math.abs(whatIf.gain_min))} ${whatIf.gain_min > 0 ? "sooner" : "later"}`}`}
                  {whatIf.chance !== null && `; chance on time ${Math.round(whatIf.chance * 100)} %`}
                </span>
              </>
            )
            return (
              <li key={whatIf.label}>
                {operation ? (
                  <button
                    type="button"
                    className="what-if"
                    onClick={() => onApply(operation, whatIf.label)}
                    onFocus={() => onAsk(operation)}
                    onPointerEnter={() => onAsk(operation)}
                    onBlur={onDrop}
                    onPointerLeave={onDrop}
                  >
                    {inside}
                  </button>
                ) : (
                  <Link href="/shop" className="what-if">
                    {inside}
                  </Link>
                )}
              </li>
            )
          })}
        </ul>
      )}
    </section>
  )
}
