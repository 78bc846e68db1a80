import { fileURLToPath } from "node:url"
import { defineConfig } from "vitest/config"

export default defineConfig({
  resolve: { alias: { "@": fileURLToPath(new URL("./app/frontend", import.meta.url)) } },
  test: {
    setupFiles: ["test/frontend/support/patience.ts"],
    include: ["test/frontend/**/*.test.{ts,tsx}"],
    coverage: {
      include: ["app/frontend/**/*.{ts,tsx}"],
      exclude: ["app/frontend/types/**"],
      reporter: ["text-summary"],
      reportsDirectory: "tmp/coverage/pages",
    },
  },
})
