import { fileURLToPath } from "node:url"
import { defineConfig } from "vitest/config"

export default defineConfig({
  resolve: { alias: { "@": fileURLToPath(new URL("./app/frontend", import.meta.url)) } },
  test: {
    pool: "threads",
    // A machine that does other work beside the tests takes its time; what never ends still fails.
    testTimeout: 30_000,
    // What needs no page shares its modules; pages are each alone, and given time.
    projects: [
      { extends: true, test: { name: "plain", include: ["test/frontend/**/*.test.ts"], isolate: false } },
      {
        extends: true,
        test: {
          name: "pages",
          include: ["test/frontend/**/*.test.tsx"],
          setupFiles: ["test/frontend/support/patience.ts"],
        },
      },
    ],
    coverage: {
      include: ["app/frontend/**/*.{ts,tsx}"],
      exclude: ["app/frontend/types/**"],
      reporter: ["text-summary"],
      thresholds: { lines: 85 },
      reportsDirectory: "tmp/coverage/pages",
    },
  },
})
