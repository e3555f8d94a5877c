import { fileURLToPath } from "node:url";
import { defineConfig } from "vite";
import { KEPT_APART } from "./vite.config";

const at = (file: string) => fileURLToPath(new URL(file, import.meta.url));

/** The server's start and the work of its threads, built so that each is there in a fraction of the time its sources take. */
export default defineConfig({
  resolve: { alias: { "~": at("./app") } },
  publicDir: false,
  ssr: { noExternal: true, external: KEPT_APART },
  build: {
    ssr: true,
    outDir: "build/node",
    rollupOptions: {
      input: {
        start: at("./server/start.ts"),
        plan: at("./app/services/garden/plan.worker.ts"),
        "read-files": at("./app/adapters/read-files.worker.ts"),
      },
    },
  },
});
