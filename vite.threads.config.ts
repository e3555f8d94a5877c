import { fileURLToPath } from "node:url";
import { defineConfig } from "vite";

const at = (file: string) => fileURLToPath(new URL(file, import.meta.url));

/** The work of the threads, built so that a thread starts in a fraction of the time it takes to translate its sources. */
export default defineConfig({
  resolve: { alias: { "~": at("./app") } },
  publicDir: false,
  build: {
    ssr: true,
    outDir: "build/threads",
    rollupOptions: {
      input: {
        plan: at("./app/services/garden/plan.worker.ts"),
        "read-files": at("./app/adapters/read-files.worker.ts"),
      },
    },
  },
});
