import { fileURLToPath } from "node:url";
import { defineConfig } from "vitest/config";

// A zone of three quarters of an hour, far from every garden of the tests: none may lean on the machine's own.
process.env.TZ = "Pacific/Chatham";

export default defineConfig({
  resolve: { alias: { "~": fileURLToPath(new URL("./app", import.meta.url)) } },
  test: {
    include: ["app/**/*.test.{ts,tsx}", "tests/**/*.test.{ts,tsx}"],
    setupFiles: ["tests/clock.ts"],
    // One for each core: of itself it leaves one core idle.
    maxWorkers: 2,
    testTimeout: 60_000,
    hookTimeout: 60_000,
  },
});
