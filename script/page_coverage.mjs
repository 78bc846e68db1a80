#!/usr/bin/env node
// How many lines of the pages the page tests ran, in one line.
import { readFileSync } from "node:fs"

const { total } = JSON.parse(readFileSync(new URL("../tmp/coverage/pages/coverage-summary.json", import.meta.url)))
console.log(`pages: ${total.lines.pct} % of their lines, besides what the browser tests run`)
