import type { ChildProcess } from "node:child_process";
import { mkdtempSync, rmSync } from "node:fs";
import { tmpdir } from "node:os";
import path from "node:path";
import { chromium, type Browser, type Page } from "@playwright/test";
import { PlanDesk, type PlanSheet } from "~/core/garden";
import { openGarden } from "~/db/client.server";
import { theGarden } from "~/db/garden/garden.server";
import { addTypedLines } from "~/services/beds/planting-lines.server";
import { plantDemoGarden } from "~/services/demo/demo-garden.server";
import { CHROMIUM } from "../e2e/chromium";
import { ended, runningGarden } from "./running-garden";

/**
 * How soon a dragged pick tells its cost, in Chromium, in the demo's garden grown to sixty plantings: from the pointer's
 * crossing into another day until the first cost stands in the page, and until it is settled; the longest task of the
 * main thread and the longest time between two frames meanwhile; all of it with the processor as it is and slowed four
 * times. Then, grown to 120 plantings, how smoothly it scrolls from top to bottom and back, and the longest task of the
 * first load. Beside it the same edits and the same solving in Node. Needs the build (`npm run build`). It sends to this
 * machine only. Last line: one JSON object.
 *
 * BENCH_MOVES: moves measured at each speed (default 40).
 */
const MOVES = Math.max(10, Number(process.env.BENCH_MOVES ?? 40));
const PLANTINGS = 60;
const MANY = 120;
/** One turn of a wheel, and how many of them are measured each way. */
const WHEEL_PX = 240;
const WHEELS = 24;
const PORT = 4196;
const HOME = `http://127.0.0.1:${PORT}`;
const MORE = ["12 leeks", "6 courgettes", "20 carrots", "30 bush beans", "8 kale", "12 beetroot", "10 salad rocket", "5 cucumbers", "16 chard", "40 onions", "6 peppers", "14 parsnips", "9 cabbage", "24 peas"]; // prettier-ignore

const folder = mkdtempSync(path.join(tmpdir(), "akmedon-drag-"));
const fileOf = (plantings: number) => path.join(folder, `${plantings}.sqlite`);
const quantile = (values: readonly number[], share: number) => [...values].sort((a, b) => a - b)[Math.floor(share * (values.length - 1))]!; // prettier-ignore
const rounded = (ms: number) => Math.round(10 * ms) / 10;

function growGarden(plantings: number): void {
  const db = openGarden(fileOf(plantings));
  plantDemoGarden(db);
  const there = db.$client.prepare("select count(*) n from season s where not exists (select 1 from season_end e where e.season_id = s.id and e.withdrawn_at is null)").get() as { n: number }; // prettier-ignore
  const lines = Array.from({ length: plantings - there.n }, (_, n) => ({ text: `${MORE[n % MORE.length]!}, sown ${1 + (n % 28)} ${n % 3 ? "May" : "June"} 2026` })); // prettier-ignore
  const { left } = addTypedLines(db, theGarden(db)!, lines, "long-bed");
  if (left.length > 0) throw new Error(`not understood: ${left.map((l) => l.text).join("; ")}`);
  db.$client.close();
}

interface Watch {
  moved: number;
  first: number;
  settled: number;
  longestTask: number;
  longestFrame: number;
  frames: number[];
}
type Watched = typeof globalThis & { watch: Watch };

/** Notes in the page when the pointer moved and when the cost stood there, and how long its tasks and frames took. */
function watchPage() {
  const watch: Watch = { moved: 0, first: 0, settled: 0, longestTask: 0, longestFrame: 0, frames: [] };
  (globalThis as Watched).watch = watch;
  addEventListener("pointermove", () => (watch.moved ||= performance.now()), { capture: true });
  new MutationObserver(() => {
    const headline = document.querySelector("[aria-label='What it costs'] p");
    if (!headline || headline.textContent.includes("working it out")) return;
    watch.first ||= performance.now();
    if (headline.hasAttribute("data-settled")) watch.settled ||= performance.now();
  }).observe(document, { subtree: true, childList: true, characterData: true, attributes: true });
  new PerformanceObserver((list) => {
    for (const { duration } of list.getEntries()) watch.longestTask = Math.max(watch.longestTask, duration);
  }).observe({ type: "longtask" });
  let last = performance.now();
  const frame = (now: number) => {
    watch.longestFrame = Math.max(watch.longestFrame, now - last);
    watch.frames.push(now - last);
    last = now;
    requestAnimationFrame(frame);
  };
  requestAnimationFrame(frame);
}

async function drags(page: Page) {
  const handles = page.locator(".pick");
  const count = await handles.count();
  const told: { first: number; settled: number }[] = [];
  await page.evaluate(() => Object.assign((globalThis as Watched).watch, { longestTask: 0, longestFrame: 0 }));
  for (let n = 0; told.length < MOVES && n < 4 * MOVES; n++) {
    const handle = handles.nth((n * 7) % count);
    await handle.scrollIntoViewIfNeeded();
    const box = (await handle.boundingBox())!;
    const ridge = (await handle.locator("xpath=ancestor::div[@data-ridge]").boundingBox())!;
    const [x, y, column] = [box.x + box.width / 2, box.y + box.height / 2, ridge.width / 14];
    const step = x + 3 * column < ridge.x + ridge.width ? 1 : -1;
    await page.mouse.move(x, y);
    await page.mouse.down();
    await page.mouse.move(x + step * 0.3 * column, y, { steps: 2 });
    for (const days of [1, 2, 3]) {
      await page.evaluate(() => Object.assign((globalThis as Watched).watch, { moved: 0, first: 0, settled: 0 }));
      await page.mouse.move(x + step * days * column, y);
      await page.waitForFunction(() => (globalThis as Watched).watch.first > 0, undefined, { polling: 20 });
      const isBlocked = (await page.locator("[aria-label='What it costs']").innerText()).includes("cannot be");
      await page.waitForFunction(() => (globalThis as Watched).watch.settled > 0, undefined, { polling: 20 });
      const { moved, first, settled } = await page.evaluate(() => (globalThis as Watched).watch);
      if (!isBlocked) told.push({ first: first - moved, settled: settled - moved });
    }
    await page.keyboard.press("Escape");
    await page.mouse.move(x, y);
    await page.mouse.up();
  }
  const { longestTask, longestFrame } = await page.evaluate(() => (globalThis as Watched).watch);
  return {
    moves: told.length,
    firstCostMs: rounded(quantile(told.map((t) => t.first), 0.5)), // prettier-ignore
    firstCostP95Ms: rounded(quantile(told.map((t) => t.first), 0.95)), // prettier-ignore
    settledMs: rounded(quantile(told.map((t) => t.settled), 0.5)), // prettier-ignore
    settledP95Ms: rounded(quantile(told.map((t) => t.settled), 0.95)), // prettier-ignore
    longestTaskMs: rounded(longestTask),
    longestFrameMs: rounded(longestFrame),
  };
}

/** How long frames take while the page is scrolled to its end and back, as the processor is or slowed. */
async function scrolls(page: Page) {
  await page.mouse.move(700, 500);
  await page.evaluate(() =>
    Object.assign((globalThis as Watched).watch, { longestTask: 0, longestFrame: 0, frames: [] }),
  );
  for (const way of [1, -1])
    for (let n = 0; n < WHEELS; n++) {
      await page.mouse.wheel(0, way * WHEEL_PX);
      await page.waitForTimeout(50);
    }
  const { longestTask, longestFrame, frames } = await page.evaluate(() => (globalThis as Watched).watch);
  return { frames: frames.length, medianMs: rounded(quantile(frames, 0.5)), p95Ms: rounded(quantile(frames, 0.95)), longestFrameMs: rounded(longestFrame), longestTaskMs: rounded(longestTask) }; // prettier-ignore
}

/** The page of a garden, met as it is first: once it stands and its worker has solved the plan. */
async function opened(page: Page): Promise<{ workerSolved: number }> {
  const planner = page.waitForEvent("worker");
  await page.goto(HOME, { waitUntil: "networkidle" });
  const worker = await planner;
  const solved = () => worker.evaluate(() => performance.getEntriesByName("plan solved")[0]?.duration ?? null);
  let workerSolved = await solved();
  while (workerSolved === null) {
    await page.waitForTimeout(200);
    workerSolved = await solved();
  }
  return { workerSolved };
}

/** The garden of many plantings: its first load and its scrolling, as the processor is and slowed. */
async function ofMany(browser: Browser) {
  const told: Record<string, object> = {};
  for (const rate of [1, 4]) {
    const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
    await page.addInitScript("globalThis.__name = (f) => f");
    await page.addInitScript(watchPage);
    const slow = await page.context().newCDPSession(page);
    await slow.send("Emulation.setCPUThrottlingRate", { rate });
    await opened(page);
    const { longestTask } = await page.evaluate(() => (globalThis as Watched).watch);
    told[rate === 1 ? "usual" : "slowed"] = { firstLoadTaskMs: rounded(longestTask), ...(await scrolls(page)) };
    await page.close();
  }
  return told;
}

/** The same in Node: solving the plan, and settling moves of it. */
function inNode(sheet: PlanSheet) {
  const desk = new PlanDesk(sheet);
  const start = performance.now();
  const run = desk.prepare();
  while (!run.next().done);
  const solvedMs = performance.now() - start;
  const settled: number[] = [];
  for (const planting of sheet.plantings) {
    const task = sheet.tasks.find((t) => t.plantingId === planting.id && (sheet.plan.picks[t.id] ?? []).length > 0);
    const from = task && sheet.problem.days[sheet.plan.picks[task.id]![0]!];
    const day = from && sheet.problem.days[sheet.problem.days.indexOf(from) + 1];
    if (!from || !day) continue;
    const began = performance.now();
    const settling = desk.settling(desk.editsOf({ plantingId: planting.id, from, day, slot: null }));
    while (!settling.next().done);
    settled.push(performance.now() - began);
  }
  return { solvedMs, settledMs: quantile(settled, 0.5) };
}

let server: ChildProcess | undefined;
const browser = await chromium.launch(CHROMIUM);
try {
  growGarden(PLANTINGS);
  growGarden(MANY);
  server = await runningGarden(fileOf(PLANTINGS), PORT);
  const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
  // What translates this file names functions by a helper, which a page does not have.
  await page.addInitScript("globalThis.__name = (f) => f");
  const { workerSolved } = await opened(page);
  await page.evaluate(watchPage);
  const sheet = (await (await page.request.get(`${HOME}/plan.json`)).json()) as PlanSheet;
  const usual = await drags(page);
  console.log(`${sheet.plantings.length} plantings, ${sheet.problem.tasks.length} tasks: ${JSON.stringify(usual)}`);
  const slow = await page.context().newCDPSession(page);
  await slow.send("Emulation.setCPUThrottlingRate", { rate: 4 });
  const slowed = await drags(page);
  console.log(`slowed four times: ${JSON.stringify(slowed)}`);
  const node = inNode(sheet);
  await page.close();
  await ended(server);
  server = await runningGarden(fileOf(MANY), PORT);
  const many = await ofMany(browser);
  console.log(`${MANY} plantings: ${JSON.stringify(many)}`);
  const { firstCostMs, settledMs, longestTaskMs, longestFrameMs } = usual;
  console.log(JSON.stringify({ bench: "drag", node: process.version, chromium: browser.version(), plantings: sheet.plantings.length, moves: usual.moves, firstCostMs, settledMs, longestTaskMs, longestFrameMs, usual, slowed, solved: { workerMs: rounded(workerSolved), nodeMs: rounded(node.solvedMs), ratio: rounded(workerSolved / node.solvedMs) }, settledInNodeMs: rounded(node.settledMs), many: { plantings: MANY, ...many } })); // prettier-ignore
} finally {
  await browser.close();
  server?.kill("SIGTERM");
  rmSync(folder, { recursive: true, force: true });
}
