import { defineConfig } from "@playwright/test";
import { CHROMIUM } from "./e2e/chromium";

export default defineConfig({
  testDir: "e2e",
  globalSetup: "./e2e/plant-demos.ts",
  outputDir: "test-results/browser",
  // The machines are shared and noisy: a test that takes 20 s alone has taken 90 there.
  timeout: 240_000,
  expect: { timeout: 20_000 },
  workers: 2,
  fullyParallel: false,
  retries: 1,
  reporter: [["list"], ["json", { outputFile: "test-results/browser.json" }]],
  // Pages from the pocket have tests of their own; in the others the garden's machine itself is asked.
  use: { launchOptions: CHROMIUM, locale: "en-GB", actionTimeout: 30_000, serviceWorkers: "block" },
  // Files and tests that say so run at the size at which the thing is done; that all screens fit is looked at at both.
  projects: [
    {
      name: "table",
      testIgnore: /\.phone\.spec/,
      grepInvert: /@phone/,
      use: { viewport: { width: 1280, height: 800 } },
    },
    {
      name: "phone",
      testIgnore: /\.table\.spec/,
      grepInvert: /@table/,
      use: { viewport: { width: 390, height: 844 }, hasTouch: true },
    },
  ],
});
