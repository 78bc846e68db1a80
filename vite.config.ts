import tailwindcss from "@tailwindcss/vite"
import react from "@vitejs/plugin-react"
import { defineConfig } from "vite"
import { compression } from "vite-plugin-compression2"
import ruby from "vite-plugin-ruby"

// Compressed once, when they are built; fonts and pictures are compressed already.
const squeezed = compression({ algorithms: ["gzip", "brotliCompress"], include: /\.(js|css|svg|json)$/, threshold: 1024 })

export default defineConfig({
  plugins: [ruby(), react(), tailwindcss(), squeezed],
  // The worker is begun from outside, with what the build made.
  build: { rolldownOptions: { preserveEntrySignatures: "allow-extension" } },
})
