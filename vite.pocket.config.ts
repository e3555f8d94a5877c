import { createHash } from "node:crypto";
import { readdirSync, readFileSync } from "node:fs";
import { fileURLToPath } from "node:url";
import { defineConfig } from "vite";

const at = (file: string) => fileURLToPath(new URL(file, import.meta.url));

/** The app's files for the browser, as they were built before: those of `assets` are called by their content. */
const assets = () => readdirSync(at("./build/client/assets"));
const revision = (name: string) => createHash("sha256").update(readFileSync(at(`./public/${name}`))).digest("hex").slice(0, 12); // prettier-ignore
const files = () => [
  ...assets().map((name) => ({ url: `/assets/${name}`, revision: null })),
  ...["icon.svg", "no-signal.html"].map((name) => ({ url: `/${name}`, revision: revision(name) })),
];

/** By what the build is known: the version that its routes' manifest is named by. */
function version(): string {
  const manifest = assets().find((name) => /^manifest-\w+\.js$/.test(name));
  if (!manifest) throw new Error("Build the app first: the pocket keeps its files.");
  return manifest.slice("manifest-".length, -".js".length);
}

/** What keeps the garden in the pocket: one file beside the app's, made after them. */
export default defineConfig(({ command }) => ({
  publicDir: false,
  define: command === "build" ? { FILES: JSON.stringify(files()), BUILD: JSON.stringify(version()), "process.env.NODE_ENV": JSON.stringify("production") } : {}, // prettier-ignore
  build: {
    outDir: "build/client",
    emptyOutDir: false,
    rollupOptions: { input: at("./pocket/worker.ts"), output: { format: "iife", entryFileNames: "worker.js" } },
  },
}));
