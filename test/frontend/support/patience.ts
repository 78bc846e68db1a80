import { configure } from "@testing-library/dom"
import { vi } from "vitest"

// A machine that does other work beside the tests takes its time; what never comes still fails.
configure({ asyncUtilTimeout: 10_000 })
vi.setConfig({ testTimeout: 30_000 })
