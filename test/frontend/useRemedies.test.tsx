// @vitest-environment jsdom
import { act, cleanup, waitFor } from "@testing-library/react"
import { afterEach, beforeEach, expect, test, vi } from "vitest"
import { useRemedies } from "@/schedule/useRemedies"
import type { Finding, Sheet } from "@/types"
import { renderPageHook } from "./support/client"
import { type Sent, waitingServer } from "./support/server"

let requests: Sent[]
beforeEach(() => {
  requests = waitingServer()
})
afterEach(() => {
  cleanup()
  vi.unstubAllGlobals()
})

const late = (behind: boolean, labels: string[] = [], untried = 0, day = "Friday") =>
  ({
    id: "time.due",
    step: "s1",
    pass: null,
    sentence: `Ready on ${day}.`,
    behind,
    untried,
    remedies: labels.map((label) => ({ label, operation: null, place: null })),
  }) as unknown as Finding
const thin = { id: "film.too_thin", step: "s1", pass: null, sentence: "Thin.", behind: false, remedies: [] } as unknown
const sheet = (...findings: unknown[]) => ({ findings }) as Sheet

type Given = { revision: number; shown: Sheet; settled: boolean }
const hook = (first: Given) =>
  renderPageHook(({ revision, shown, settled }: Given) => useRemedies("/pieces/4/schedule", revision, shown, settled), {
    initialProps: first,
  })
const labels = (shown: Sheet) => shown.findings.flatMap((finding) => finding.remedies.map((remedy) => remedy.label))

test("nothing is asked for where nothing has to be planned", () => {
  const shown = sheet(thin)
  const { result } = hook({ revision: 7, shown, settled: true })
  expect(result.current.sheet).toBe(shown)
  expect(requests).toEqual([])
})

test("they are asked for once the plan stands, and join the finding they are of", async () => {
  const shown = sheet(thin, late(true))
  const { result, rerender } = hook({ revision: 7, shown, settled: false })
  rerender({ revision: 7, shown, settled: true })
  await waitFor(() => expect(requests).toHaveLength(1), { timeout: 3000 })
  expect(requests[0]?.url).toBe("/pieces/4/schedule/remedies")
  await requests[0]?.answer(200, { findings: [thin, late(false, ["One coat less"], 3)] })
  await waitFor(() => expect(labels(result.current.sheet)).toEqual(["One coat less"]))
  expect(result.current.sheet.findings[0]).toBe(thin)

  act(() => result.current.tryAll())
  await waitFor(() => expect(requests).toHaveLength(2), { timeout: 3000 })
  expect(requests[1]?.url).toBe("/pieces/4/schedule/remedies?all=yes")
  expect(labels(result.current.sheet), "what is known stays meanwhile").toEqual(["One coat less"])

  rerender({ revision: 8, shown: sheet(late(true, [], 0, "Monday")), settled: false })
  expect(labels(result.current.sheet), "of another plan").toEqual([])
})
