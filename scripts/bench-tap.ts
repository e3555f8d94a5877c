import type { ChildProcess } from "node:child_process";
import { mkdtempSync, rmSync } from "node:fs";
import { tmpdir } from "node:os";
import path from "node:path";
import { chromium, type Browser, type Page } from "@playwright/test";
import { openGarden } from "~/db/client.server";
import { plantDemoGarden } from "~/services/demo/demo-garden.server";
import { CHROMIUM } from "../e2e/chromium";
import { ended, runningGarden } from "./running-garden";

/**
 * How soon a tap on a cue moves the verdict, in Chromium on a phone's window, the demo's garden: from the click until
 * the verdict's words are others, and until they are painted. The server's answer is held back meanwhile, so that only
 * the judge in the page can have moved them. With the page's thread as it is and slowed four times (the judge's own
 * thread is not slowed by that). Needs the build. Sends to this machine only. Last line:
 * one JSON object.
 *
 * BENCH_TAPS: taps that move a verdict, measured at each speed (default 30).
 */
const TAPS = Math.max(5, Number(process.env.BENCH_TAPS ?? 30));
const PORT = 4197;
const HOME = `http://127.0.0.1:${PORT}`;
const PLANTINGS = ["cucumber-late", "tomato-red", "courgette-striped", "bean-climbing", "beet-red", "carrot-main"];
/** A verdict that stands after so long was not moved by the tap. */
const STANDS_MS = 2000;

const quantile = (values: readonly number[], share: number) => [...values].sort((a, b) => a - b)[Math.floor(share * (values.length - 1))]!; // prettier-ignore
const rounded = (ms: number) => Math.round(10 * ms) / 10;

interface Watch {
  tapped: number;
  moved: number;
  painted: number;
}
type Watched = typeof globalThis & { tap: Watch };

/** Notes in the page when it was tapped, when the verdict's words were others, and when they were painted. */
function watchTaps() {
  const tap: Watch = { tapped: 0, moved: 0, painted: 0 };
  (globalThis as Watched).tap = tap;
  const words = () => document.querySelector("[data-testid=verdict]")?.textContent ?? "";
  let before = "";
  addEventListener(
    "click",
    (event) => {
      before = words();
      Object.assign(tap, { tapped: event.timeStamp, moved: 0, painted: 0 });
    },
    { capture: true },
  );
  new MutationObserver(() => {
    if (!tap.tapped || tap.moved || words() === before) return;
    tap.moved = performance.now();
    requestAnimationFrame(() => setTimeout(() => (tap.painted = performance.now())));
  }).observe(document, { subtree: true, childList: true, characterData: true });
}

/** Taps readings of some plantings one after the other; each page is met anew, its judge ready. */
async function taps(browser: Browser, rate: number) {
  const context = await browser.newContext({ viewport: { width: 390, height: 844 }, hasTouch: true });
  const page = await context.newPage();
  await page.addInitScript("globalThis.__name = (f) => f");
  await page.addInitScript(watchTaps);
  const slow = await context.newCDPSession(page);
  await slow.send("Emulation.setCPUThrottlingRate", { rate });
  const told: { moved: number; painted: number }[] = [];
  let stood = 0;
  for (let n = 0; told.length < TAPS && n < 4 * TAPS; n++) {
    const move = await tapped(page, PLANTINGS[n % PLANTINGS.length]!, Math.floor(n / PLANTINGS.length));
    if (move) told.push(move);
    else stood++;
  }
  await context.close();
  const of = (key: "moved" | "painted", share: number) => rounded(quantile(told.map((t) => t[key]), share)); // prettier-ignore
  return { taps: told.length, stood, movedMs: of("moved", 0.5), movedP95Ms: of("moved", 0.95), paintedMs: of("painted", 0.5), paintedP95Ms: of("painted", 0.95) }; // prettier-ignore
}

async function tapped(page: Page, planting: string, nth: number): Promise<{ moved: number; painted: number } | null> {
  const sheet = page.waitForResponse((r) => r.url().endsWith("/sheet"));
  await page.goto(`${HOME}/check/${planting}`);
  await (await sheet).finished();
  await page.waitForTimeout(500);
  // Held back for good: the garden stays as it is, so that every tap is a first one.
  await page.route("**/entries", () => {});
  const readings = page.locator("main fieldset button[aria-pressed=false]:visible");
  await readings.nth((nth * 5) % (await readings.count())).click();
  await page.waitForFunction(() => (globalThis as Watched).tap.painted > 0, undefined, { polling: 20, timeout: STANDS_MS }).catch(() => undefined); // prettier-ignore
  const { tapped, moved, painted } = await page.evaluate(() => (globalThis as Watched).tap);
  return painted > 0 ? { moved: moved - tapped, painted: painted - tapped } : null;
}

const folder = mkdtempSync(path.join(tmpdir(), "akmedon-tap-"));
let server: ChildProcess | undefined;
const browser = await chromium.launch(CHROMIUM);
try {
  const file = path.join(folder, "demo.sqlite");
  const db = openGarden(file);
  plantDemoGarden(db);
  db.$client.close();
  server = await runningGarden(file, PORT, "/round");
  const usual = await taps(browser, 1);
  console.log(`as it is: ${JSON.stringify(usual)}`);
  const slowed = await taps(browser, 4);
  console.log(`slowed four times: ${JSON.stringify(slowed)}`);
  console.log(JSON.stringify({ bench: "tap", node: process.version, chromium: browser.version(), usual, slowed }));
} finally {
  await browser.close();
  if (server) await ended(server);
  rmSync(folder, { recursive: true, force: true });
}
