import AxeBuilder from "@axe-core/playwright";
import { expect, test } from "./gardener";

test("on the round every button is a thumb's size and every word at least 16 px where it matters", async ({
  page,
  demo,
}) => {
  await page.goto(demo.url);
  await page.getByRole("button", { name: /^Start .*round/ }).click();
  await expect(page.getByText(/1 of \d+/)).toBeVisible();
  const main = page.locator("main");
  const targets = await main.locator("button:visible, summary:visible, input:visible").evaluateAll((all) =>
    all.map((el) => ({
      words: (el.getAttribute("aria-label") ?? el.textContent).slice(0, 40),
      step: el.closest("ol") !== null,
      height: el.getBoundingClientRect().height,
    })),
  );
  expect(targets.length).toBeGreaterThan(8);
  for (const { words, step, height } of targets) expect(height, words).toBeGreaterThanOrEqual(step ? 40 : 48);
  const small = await main
    .locator("button:visible")
    .evaluateAll((all) =>
      all.filter((el) => parseFloat(getComputedStyle(el).fontSize) < 16).map((el) => el.textContent),
    );
  expect(small).toEqual([]);
});

test("the sky by thumb: days pushed along, a bed covered, hours opened; nothing runs out of the window", async ({
  page,
  demo,
}) => {
  await page.goto(`${demo.url}/sky`);
  const strip = page.getByRole("region", { name: "The days ahead" });
  await strip.evaluate((el) => el.scrollTo({ left: 400 }));
  expect(await strip.evaluate((el) => el.scrollLeft)).toBeGreaterThan(100);
  const frost = page.getByRole("article", { name: /frost likely Wednesday night/i });
  await frost.getByRole("button", { name: "We cover it" }).first().tap();
  await expect(frost).toContainText("Covered that night");
  await strip.evaluate((el) => el.scrollTo({ left: 0 }));
  await page.getByRole("link", { name: "Hours of Sat 19 Sep" }).tap();
  await expect(page.getByRole("region", { name: "Hours of Sat 19 Sep" })).toContainText("light to work by");
  const [inner, full] = await page.evaluate(() => [window.innerWidth, document.documentElement.scrollWidth]);
  expect(full).toBeLessThanOrEqual(inner);
  const small = await page.locator("main button:visible, main summary:visible").evaluateAll((all) => all.map((el) => el.getBoundingClientRect().height)); // prettier-ignore
  for (const height of small) expect(height).toBeGreaterThanOrEqual(40);
});

test("a usual pick takes one tap, nothing ready one; neither waits for a slow line, and each is felt", async ({
  page,
  demo,
}) => {
  await page.addInitScript(() => {
    const felt: unknown[] = [];
    Object.assign(window, { felt });
    navigator.vibrate = (pattern) => felt.push(pattern) > 0;
  });
  await page.goto(demo.url);
  await page.getByRole("button", { name: /^Start .*round/ }).click();
  await expect(page.getByText(/^1 of \d+/)).toBeVisible();
  let taps = 0;
  const tap = async (name: string | RegExp) => {
    taps++;
    await page.getByRole("button", { name }).first().tap();
  };
  // The garden's machine takes five seconds to answer.
  await page.route("**/entries", async (route) => {
    await new Promise((resolve) => setTimeout(resolve, 5000));
    await route.continue();
  });
  const panel = page.getByRole("region", { name: "Log a pick" });
  for (let stop = 0; stop < 12 && !(await panel.getByRole("textbox", { name: /^How many / }).isVisible()); stop++)
    await page.getByRole("button", { name: "Next →" }).tap();
  await tap(/^Picked, all/);
  await expect(panel.getByText(/on its way to the ledger/)).toBeVisible({ timeout: 2000 });
  expect(taps).toBe(1);
  await page.getByRole("button", { name: "Next →" }).tap();
  taps = 0;
  await tap("Nothing ready");
  await expect(panel.getByText(/on its way to the ledger/)).toBeVisible({ timeout: 2000 });
  expect(taps).toBe(1);
  expect(await page.evaluate(() => (window as unknown as { felt: unknown[] }).felt.length)).toBe(2);
  await expect(page.getByText("All saved")).toBeVisible({ timeout: 40_000 });
});

test("in the sun: black on white on every page of the round, remembered, without a fault of access", async ({
  page,
  demo,
}) => {
  await page.goto(demo.url);
  await page.getByRole("button", { name: /^Start .*round/ }).click();
  await expect(page.getByText(/^1 of \d+/)).toBeVisible();
  const sun = page.getByRole("button", { name: "For the sun: black on white" });
  expect((await sun.boundingBox())!.height).toBeGreaterThanOrEqual(48);
  await sun.tap();
  await expect(page.locator("body")).toHaveCSS("background-color", "rgb(255, 255, 255)");
  const faults = async () => (await new AxeBuilder({ page }).withTags(["wcag2a", "wcag2aa", "wcag2aaa", "wcag22aa"]).disableRules(["identical-links-same-purpose"]).analyze()).violations.map((v) => v.id); // prettier-ignore
  expect(await faults()).toEqual([]);
  await page.goto(`${demo.url}/check/courgette-striped`);
  await expect(page.locator("body")).toHaveCSS("color", "rgb(0, 0, 0)");
  expect(await faults()).toEqual([]);
  // Also where the phone is dark.
  await page.emulateMedia({ colorScheme: "dark" });
  await expect(page.locator("body")).toHaveCSS("background-color", "rgb(255, 255, 255)");
  await sun.tap();
  await expect(page.locator("body")).toHaveCSS("background-color", "rgb(29, 18, 32)");
});

test("the screen is kept awake while walking, asked for again when it comes back, and let go after", async ({
  page,
  demo,
}) => {
  await page.addInitScript(() => {
    const awake = { asked: 0, released: 0 };
    const request = () => {
      awake.asked++;
      return Promise.resolve({ release: () => Promise.resolve(awake.released++) });
    };
    Object.defineProperty(navigator, "wakeLock", { value: { request } });
    Object.assign(window, { awake });
  });
  const counts = () => page.evaluate(() => (window as unknown as { awake: { asked: number; released: number } }).awake);
  await page.goto(demo.url);
  expect((await counts()).asked).toBe(0);
  await page.getByRole("button", { name: /^Start .*round/ }).click();
  await expect(page.getByText(/^1 of \d+/)).toBeVisible();
  await expect.poll(async () => (await counts()).asked).toBe(1);
  await page.evaluate(() => document.dispatchEvent(new Event("visibilitychange")));
  await expect.poll(async () => (await counts()).asked).toBe(2);
  await page.getByRole("button", { name: /^Finish early/ }).click();
  await expect(page).toHaveURL(/ledger/);
  await expect.poll(async () => (await counts()).released).toBeGreaterThan(0);
});

test("short of time: what loses least is left, with what that costs; over a reload too, and all of it again", async ({
  page,
  demo,
}) => {
  await page.goto(`${demo.url}/round`);
  await page.getByRole("button", { name: /^Start the round/ }).click();
  await expect(page.getByText(/^1 of \d+/)).toBeVisible();
  const stops = async () => page.getByRole("list", { name: "The walk" }).getByRole("button").evaluateAll((of) => of.map((b) => b.getAttribute("aria-label"))); // prettier-ignore
  const before = await stops();
  await page.getByRole("button", { name: "Short of time?" }).click();
  await page.getByRole("button", { name: "10 min" }).click();
  const short = page.getByRole("group", { name: "Short of time" });
  await expect(short).toContainText(
    /^In 10 minutes leave .+ \((?:keeps until|by|lost if left|it can wait|the look can wait)/,
  );
  // What is left comes last, and nothing is taken off the walk.
  const told = await short.innerText();
  const after = await stops();
  expect([...after].sort()).toEqual([...before].sort());
  expect(after).not.toEqual(before);
  expect(told).toContain(after.at(-1)!);
  expect(told).not.toContain(after[0]!);
  await page.reload();
  await expect(short).toBeVisible();
  expect(await stops()).toEqual(after);
  await page.getByRole("button", { name: "All of it after all" }).click();
  expect(await stops()).toEqual(before);
});
