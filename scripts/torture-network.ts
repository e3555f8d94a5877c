import { existsSync, mkdtempSync, rmSync } from "node:fs";
import { tmpdir } from "node:os";
import path from "node:path";
import { chromium, type BrowserContext, type Page } from "@playwright/test";
import Database from "better-sqlite3";
import { groupBy, sum } from "es-toolkit";
import { seeded } from "~/core/statistics";
import { CHROMIUM } from "../e2e/chromium";
import { FAULTS, FaultyLine } from "./faulty-line";
import { ended, runningGarden } from "./running-garden";

/**
 * Two phones log picks and take some back, in real browsers, over a line on which most that is sent meets a fault: `npm run
 * torture:network [-- --faults 1000 --seed 1]`. Beside it they are cut off, closed and opened again, the server is killed,
 * and the clock of one phone is a day slow. In the end the ledger has to be what was entered on both, each once. Sends to
 * this machine only, and stops by itself.
 */
const option = (name: string, usual: number) => {
  const at = process.argv.indexOf(`--${name}`);
  return at < 0 ? usual : Number(process.argv[at + 1]);
};
const WANTED = option("faults", 1000);
const uniform = seeded(option("seed", 1));
const PORT = option("port", 4260);
const LINE = PORT + 1;
const MOST_MS = 20 * 60_000;
/** One phone's clock is slow by this. */
const SLOW_CLOCK_MS = 26 * 3_600_000;
const PLANTINGS = ["6 kale curly, planted 3 May 2026", "8 chard, planted 20 May 2026"];
const FAULTY = 0.85;

const whole = (below: number) => Math.floor(uniform() * below);
const pause = (ms: number) => new Promise((resolve) => setTimeout(resolve, ms));

if (!existsSync("build/client/worker.js")) throw new Error("Build first: npm run build");
const folder = mkdtempSync(path.join(tmpdir(), "akmedon-network-"));
const file = path.join(folder, "garden.sqlite");
const url = `http://127.0.0.1:${LINE}`;
let isFaulty = false;
const line = new FaultyLine(PORT, (at) => (isFaulty && !at.startsWith("/assets") && uniform() < FAULTY ? FAULTS[whole(FAULTS.length)] : undefined), () => 200 + whole(2500)); // prettier-ignore
const others = { "cut off": 0, "closed and opened": 0, "server killed": 0 };
const faults = () => sum(Object.values(line.counts)) + sum(Object.values(others));

/** What was entered: by its count, which names it, whether it was taken back. */
const entered = new Map<number, { isBack: boolean }>();
let next = 0;

async function tell(at: string, fields: Record<string, string>): Promise<void> {
  const answer = await fetch(`http://127.0.0.1:${PORT}${at}`, { method: "POST", body: new URLSearchParams(fields), redirect: "manual" }); // prettier-ignore
  if (answer.status >= 400) throw new Error(`${at}: ${answer.status}`);
}

let server = await runningGarden(file, PORT, "/icon.svg", { AKMEDON_DEMO: "" });
await tell("/setup", { name: "Back garden", latitude: "47.6", longitude: "-122.3", timeZone: "America/Los_Angeles", unitSystem: "metric" }); // prettier-ignore
await tell("/beds", { intent: "add bed", name: "Long bed", kind: "open" });
const bedId = /name="bedId" value="([^"]+)"/.exec(await (await fetch(`http://127.0.0.1:${PORT}/beds`)).text())?.[1] ?? ""; // prettier-ignore
await tell("/beds", { intent: "add lines", bedId, rows: JSON.stringify(PLANTINGS.map((text) => ({ text }))) });
const listed = (await (await fetch(`http://127.0.0.1:${PORT}/pocket.json`)).json()) as { pages: string[] };
const checks = listed.pages.filter((page) => page.startsWith("/check/"));
await line.listen(LINE);

const browser = await chromium.launch(CHROMIUM);

/** A phone with the garden in its pocket. */
async function phone(clockMs: number): Promise<BrowserContext> {
  const context = await browser.newContext({ viewport: { width: 390, height: 844 }, hasTouch: true, locale: "en-GB" });
  if (clockMs !== 0)
    await context.addInitScript((ms) => {
      const Right = Date;
      const now = () => Right.now() + ms;
      const Wrong = function (this: unknown, ...given: []) {
        if (!new.target) return new Right(now()).toString();
        return given.length === 0 ? new Right(now()) : new Right(...given);
      };
      Object.assign(Wrong, { now, parse: Right.parse.bind(Right), UTC: Right.UTC.bind(Right) });
      Wrong.prototype = Right.prototype;
      globalThis.Date = Wrong as unknown as DateConstructor;
    }, clockMs);
  const page = await context.newPage();
  await page.goto(url + checks[0]);
  await page.getByText(/^Kept · /).waitFor({ timeout: 60_000 });
  await page.close();
  return context;
}

async function opened(context: BrowserContext): Promise<Page> {
  for (let tries = 0; ; tries++) {
    const page = await context.newPage();
    page.setDefaultTimeout(15_000);
    const stands = await page.goto(url + checks[whole(checks.length)], { waitUntil: "domcontentloaded" }).then(
      () => page.getByRole("region", { name: "Log a pick" }).waitFor().then(() => true, () => false), // prettier-ignore
      () => false,
    );
    if (stands) return page;
    if (tries > 5) throw new Error("The page does not open from the pocket.");
    await page.close();
  }
}

/** Logs one pick by hand, and sometimes takes it back; what the page did not say it has is not counted as entered. */
async function logOne(page: Page): Promise<void> {
  const panel = page.getByRole("region", { name: "Log a pick" });
  const again = panel.getByRole("button", { name: "Log more" });
  if (await again.isVisible()) await again.click();
  const count = ++next;
  await panel.getByRole("textbox", { name: /^How many / }).fill(String(count));
  await panel.getByRole("button", { name: "Left the small ones" }).click();
  await again.waitFor();
  entered.set(count, { isBack: false });
  if (uniform() > 0.12) return;
  await panel.getByRole("button", { name: "Undo" }).click();
  entered.set(count, { isBack: true });
  await again.waitFor({ state: "hidden" });
}

async function walk(context: BrowserContext): Promise<void> {
  let page = await opened(context);
  let isOff = false;
  const until = Date.now() + MOST_MS;
  while (faults() < WANTED && Date.now() < until) {
    await logOne(page);
    const dice = uniform();
    if (dice < 0.04 || isOff) {
      await context.setOffline((isOff = !isOff));
      if (isOff) others["cut off"]++;
    } else if (dice < 0.06) {
      await page.close();
      page = await opened(context);
      others["closed and opened"]++;
    }
    await pause(whole(120));
  }
  await context.setOffline(false);
  await page.close();
}

const phones = [await phone(0), await phone(-SLOW_CLOCK_MS)];
isFaulty = true;
let isWalking = true;
const killing = (async () => {
  while (isWalking) {
    await pause(8000 + whole(8000));
    if (!isWalking) return;
    await ended(server, "SIGKILL");
    others["server killed"]++;
    await pause(whole(3000));
    server = await runningGarden(file, PORT, "/icon.svg", { AKMEDON_DEMO: "" });
  }
})();
await Promise.all(phones.map(walk));
isWalking = false;
await killing;
isFaulty = false;
const refused: string[] = [];
for (const context of phones) {
  const page = await opened(context);
  await page.getByText(/ · all sent$/).waitFor({ timeout: 120_000 });
  refused.push(...(await page.getByText(/could not be saved/).allInnerTexts()));
}
await browser.close();
line.close();
await ended(server, "SIGTERM");

const db = new Database(file, { readonly: true });
const rows = db.prepare("select m.pieces as count, p.withdrawn_at is not null as isBack from pick p join lot l on l.pick_id = p.id join movement m on m.lot_id = l.id and m.kind = 'picked'").all() as { count: number; isBack: 0 | 1 }[]; // prettier-ignore
db.close();
rmSync(folder, { recursive: true, force: true });
const there = groupBy(rows, (row) => row.count);
let [lost, doubled, wronglyBack] = [0, 0, 0];
for (const [count, { isBack }] of entered) {
  const found = there[count] ?? [];
  if (found.length === 0) lost++;
  if (found.length > 1) doubled++;
  if (found.some((row) => Boolean(row.isBack) !== isBack)) wronglyBack++;
}
const unasked = Object.keys(there).filter((count) => !entered.has(Number(count))).length;
console.log(line.counts, others, refused.slice(0, 3));
console.log(JSON.stringify({ networkFaults: faults(), entries: entered.size, lost, doubled, wronglyBack, unasked, refused: refused.length })); // prettier-ignore
if (lost + doubled + wronglyBack + unasked + refused.length > 0) process.exitCode = 1;
