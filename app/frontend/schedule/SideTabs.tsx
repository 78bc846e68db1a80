import { useState } from "react"
import { Tabs } from "@/components/Tabs"
import { ChanceSaid } from "@/plan/Chances"
import { Goals } from "@/plan/Goals"
import type { Chance, Finding, Operation, Sheet } from "@/types"
import { Findings } from "./Findings"
import type { useRemedies } from "./useRemedies"
import type { useSheet } from "./useSheet"
import { WhatIfs } from "./WhatIfs"

type Props = {
  state: ReturnType<typeof useSheet>
  remedies: ReturnType<typeof useRemedies>
  chance: Chance | null
  /** Ready dates of the remedies that were asked about, by their operation. */
  ready: Record<string, number | null>
  onApply: (operation: Operation, reason: string) => void
  onAsk: (operation: Operation, show?: boolean) => void
  onDrop: () => void
  onSelect: (finding: Finding) => void
}

/** What stands against the plan, what would change its date, how sure it is, and what it aims at. */
export function SideTabs({ state, remedies, chance, ready, onApply, onAsk, onDrop, onSelect }: Props) {
  const { piece, schedule, url } = state
  const { sheet } = remedies
  const [tab, setTab] = useState("findings")
  if (sheet.rows.length === 0 && sheet.findings.length === 0) return null
  const asks = { onApply, onAsk, onDrop }
  const unsure = unsureOf(chance, sheet)
  const done = sheet.rows.every((row) => row.status === "done")
  return (
    <section className="side-tabs" aria-label="What is found, and what could be otherwise">
      <Tabs
        label="What is found, and what could be otherwise"
        tab={tab}
        onTab={setTab}
        tabs={[
          {
            id: "findings",
            label: "Findings",
            count: sheet.findings.length + (unsure ? 1 : 0),
            content: (
              <>
                {unsure && (
                  <div className="unsure">
                    <b>May not finish on time</b>
                    <p>{unsure}</p>
                    <button type="button" className="ui-button" onClick={() => setTab("what_if")}>
                      See what would help
                    </button>
                  </div>
                )}
                <Findings
                  piece={piece.id}
                  sheet={sheet}
                  unknown={remedies.unknown}
                  onAll={remedies.tryAll}
                  ready={ready}
                  onSelect={onSelect}
                  onEdit={state.edit}
                  onShop={() => void state.reload()}
                  {...asks}
                />
              </>
            ),
          },
          {
            id: "what_if",
            label: "What if",
            content: done ? (
              <p className="text-second">All is done.</p>
            ) : (
              <WhatIfs url={url} revision={schedule.revision} sheet={sheet} {...asks} />
            ),
          },
          {
            id: "chance",
            label: "Chance",
            content: chance ? (
              <ChanceSaid chance={chance} zone={sheet.zone} />
            ) : (
              <p className="text-second" role="status">
                {done ? "All is done." : sheet.ready_at ? "Drawing dates" : "No date can be given yet."}
              </p>
            ),
          },
          {
            id: "aims",
            label: "Aims",
            content: <Goals plan={sheet} goal={sheet.goal} onChosen={() => void state.reload()} />,
          },
        ]}
      />
    </section>
  )
}

/** Said of a due date that the plan keeps and the weather may not; a late one is a finding of its own. */
function unsureOf(chance: Chance | null, sheet: Sheet): string | null {
  if (!chance?.unsure || chance.share === null) return null
  if (sheet.findings.some((finding) => finding.id === "time.due")) return null
  return `Chance of finishing on time: ${Math.round(chance.share * 100)} %. Drying times and climate vary.`
}
