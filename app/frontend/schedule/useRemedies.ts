import { useMemo, useState } from "react"
import { send } from "@/lib/api"
import { useAnswer } from "@/lib/requests"
import type { Finding, Sheet } from "@/types"

// Edits come in quick succession: remedies are planned for the schedule that stays.
const SETTLED_MS = 500

const keyOf = ({ id, step, pass, sentence }: Finding) => [id, step, pass, sentence].join()

/**
 * The sheet with those remedies, too, that have to be planned before they are offered: they are asked for once the plan
 * of a revision stands and no edit is under way.
 */
export function useRemedies(url: string, revision: number, sheet: Sheet, settled: boolean) {
  const behind = sheet.findings.filter((finding) => finding.behind).map(keyOf)
  const question = `${revision} ${behind.join()}`
  const [all, setAll] = useState("")
  const { answer, error } = useAnswer({
    key: ["remedies", url, settled ? question : "under way", all === question],
    ask: (signal) =>
      send<{ findings: Finding[] }>("GET", `${url}/remedies${all === question ? "?all=yes" : ""}`, undefined, signal),
    on: settled && behind.length > 0,
    after: SETTLED_MS,
    keep: all === question,
    quiet: true,
  })
  const findings = answer?.findings
  const whole = useMemo(() => {
    if (!findings) return sheet
    const planned = new Map(findings.map((finding) => [keyOf(finding), finding]))
    const known = (finding: Finding) => (finding.behind ? (planned.get(keyOf(finding)) ?? finding) : finding)
    return { ...sheet, findings: sheet.findings.map(known) }
  }, [sheet, findings])
  return { sheet: whole, unknown: error !== null, tryAll: () => setAll(question) }
}
