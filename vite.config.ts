import { fileURLToPath } from "node:url";
import { reactRouter } from "@react-router/dev/vite";
import { defineConfig } from "vite";

/** Packages that are not built in: they look for files beside their own. */
export const KEPT_APART = ["better-sqlite3", "piscina", "argon2"];

export default defineConfig(({ command }) => ({
  plugins: [reactRouter()],
  resolve: { alias: { "~": fileURLToPath(new URL("./app", import.meta.url)) } },
  // The packages go into the server's build: one file is read in a fraction of the time that thousands take.
  ssr: command === "build" ? { noExternal: true, external: KEPT_APART } : {},
}));
