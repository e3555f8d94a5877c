import type { Locator, Page } from "@playwright/test";
import { expect, test } from "./gardener";

const card = (page: Page) => page.getByRole("status", { name: "What it costs" });
const note = (page: Page) => page.getByRole("status", { name: "What came of it" });
const row = (page: Page, id: string) => page.locator(`[data-row="${id}"]`);
const pick = (page: Page, id: string, day: string) => row(page, id).getByRole("button", { name: new RegExp(`, ${day}: .*Why this day`) }); // prettier-ignore
const noted = (page: Page) => page.waitForResponse((r) => r.request().method() === "POST" && r.url().includes("index"));

/** The page with its planner warmed. */
async function opened(page: Page, url: string) {
  const planner = page.waitForEvent("worker");
  await page.goto(url, { waitUntil: "networkidle" });
  await planner;
  await page.waitForLoadState("networkidle");
}

/** All that the board plans and rules out. */
const planOn = (page: Page) => page.locator(".pick, .ruled-out").evaluateAll((all) => all.map((b) => b.getAttribute("aria-label")).join("|")); // prettier-ignore

/** Holds a pick over a day, so many columns from where it stands. */
async function holdOver(page: Page, handle: Locator, columns: number) {
  await handle.scrollIntoViewIfNeeded();
  const box = (await handle.boundingBox())!;
  const ridge = (await handle.locator("xpath=ancestor::div[@data-ridge]").boundingBox())!;
  const [x, y] = [box.x + box.width / 2, box.y + box.height / 2];
  await page.mouse.move(x, y);
  await page.mouse.down();
  await page.mouse.move(x + (columns * ridge.width) / 14, y, { steps: 8 });
}

test("a pick dragged across the frost: the cost is told before it is let go, kept, and undone", async ({
  page,
  demo,
}) => {
  await opened(page, demo.url);
  const before = await planOn(page);
  const handle = row(page, "courgette-striped").locator(".pick").first();
  const from = (await handle.getAttribute("aria-label"))!;
  await holdOver(page, handle, 3);
  await expect(card(page)).toContainText(/Courgette, striped to .. \d+: (costs|makes no odds|does better)/);
  await expect(card(page)).toContainText(/In this row (and in all )?.*(less|more|as much as before)/);
  await expect(card(page).locator("[data-settled]")).toBeVisible();
  const headline = (await card(page).locator("p").first().innerText()).replaceAll(/\s+/g, " ");
  const saved = noted(page);
  await page.mouse.up();
  await saved;
  await expect(note(page)).toContainText("Courgette, striped to");
  const day = /to (.. \d+)/.exec(headline)![1]!;
  await expect(pick(page, "courgette-striped", day)).toHaveAttribute("aria-label", /You asked for it/);
  await expect(row(page, "courgette-striped").getByRole("button", { name: new RegExp(`${/, (.. \d+):/.exec(from)![1]}: ruled out`) })).toBeVisible(); // prettier-ignore
  // It is the server's: another visit finds it there.
  await page.goto(demo.url, { waitUntil: "networkidle" });
  await expect(pick(page, "courgette-striped", day)).toBeVisible();
  const undone = noted(page);
  await page
    .getByRole("button", { name: /^Undo: / })
    .first()
    .click();
  await undone;
  await page.waitForLoadState("networkidle");
  await expect.poll(() => planOn(page)).toBe(before);
});

test(
  "by keyboard alone: taken up, moved, put back, moved again, ruled out, and ten steps undone",
  { tag: "@table" },
  async ({ page, demo }) => {
    await opened(page, demo.url);
    // One stop a row: no pick is one.
    await expect(page.locator(".pick:not([tabindex='-1'])")).toHaveCount(0);
    await row(page, "courgette-striped").locator("a").focus();
    await page.keyboard.press("ArrowDown");
    await page.keyboard.press("ArrowUp");
    await page.keyboard.press("ArrowRight");
    await expect(row(page, "courgette-striped").locator(".pick").first()).toBeFocused();
    await page.keyboard.press("Space");
    await page.keyboard.press("ArrowRight");
    await expect(card(page)).toContainText("Courgette, striped to");
    await page.keyboard.press("Escape");
    await expect(card(page)).toHaveCount(0);
    const act = async (...keys: string[]) => {
      const saved = noted(page);
      for (const key of keys) await page.keyboard.press(key);
      await saved;
      await page.waitForLoadState("networkidle");
    };
    const focused = () => page.evaluate(() => document.activeElement?.closest("[data-row]")?.getAttribute("data-row"));
    const states = [await planOn(page)];
    await page.keyboard.press("Space");
    await page.keyboard.press("ArrowRight");
    await expect(card(page).locator("[data-settled]")).toBeVisible();
    await act("Enter");
    await expect(row(page, "courgette-striped").getByRole("button", { name: /You asked for it/ })).toBeFocused();
    states.push(await planOn(page));
    const rows = await page.locator("[data-row]:has(.pick)").evaluateAll((all) => all.map((el) => el.getAttribute("data-row")!)); // prettier-ignore
    for (const id of rows.filter((r) => r !== "courgette-striped").slice(0, 9)) {
      await row(page, id).locator(".pick").first().focus();
      await act("Delete");
      await expect(row(page, id).locator(".ruled-out")).toHaveCount(1);
      expect(await focused()).toBe(id);
      states.push(await planOn(page));
    }
    expect(states).toHaveLength(11);
    for (const state of states.reverse().slice(1)) {
      await act("Control+z");
      await expect.poll(() => planOn(page)).toBe(state);
    }
    await act("Control+Shift+z");
    await expect(row(page, "courgette-striped").getByRole("button", { name: /You asked for it/ })).toBeVisible();
  },
);

test("a bed, a planting or what is said of it is found, and the first is gone to", async ({ page, readDemo }) => {
  await opened(page, readDemo.url);
  await page.keyboard.press("/");
  const field = page.getByRole("searchbox", { name: "Find a bed or a planting" }).and(page.locator(":visible"));
  await field.fill("long courg");
  await expect(page.locator("[data-row]")).toHaveCount(2);
  await page.keyboard.press("Enter");
  await expect(row(page, "courgette-striped").locator("a")).toBeFocused();
  await field.fill("look");
  for (const words of await page.locator("[data-row]").allInnerTexts()) expect(words).toMatch(/look/i);
  await field.fill("pineapple");
  await expect(page.getByText("Nothing here is called “pineapple”.")).toBeVisible();
  await field.press("Escape");
  await expect(row(page, "kale-curly")).toBeVisible();
});

test("the keys are told by one of them", { tag: "@table" }, async ({ page, readDemo }) => {
  await opened(page, readDemo.url);
  await page.keyboard.press("?");
  const sheet = page.getByRole("dialog", { name: "By keyboard" });
  await expect(sheet).toContainText("takes a pick up");
  await page.keyboard.press("Escape");
  await expect(sheet).toBeHidden();
});

test("a day without hands is refused before it is let go, with the limit, and the pick goes back", async ({
  page,
  readDemo,
}) => {
  await opened(page, readDemo.url);
  const handle = row(page, "carrot-main").locator(".pick").first();
  const label = (await handle.getAttribute("aria-label"))!;
  const day = Number(/ (\d+):/.exec(label)![1]);
  await holdOver(page, handle, 27 - day);
  await expect(card(page)).toContainText("cannot be, nobody has a free minute then");
  await page.mouse.up();
  await expect(card(page)).toContainText("cannot be");
  await expect(handle).toHaveAttribute("aria-label", label);
  await page.locator("h1").click();
  await expect(page.getByRole("button", { name: /^Undo: / })).toHaveCount(0);
});

test("why this day, and not on this day: in words, marked on the row, allowed again by a tap", async ({
  page,
  demo,
}) => {
  await opened(page, demo.url);
  const handle = row(page, "courgette-striped").locator(".pick").first();
  const label = (await handle.getAttribute("aria-label"))!;
  await handle.click();
  await expect(page.getByText(/A day (earlier|later): /).first()).toBeVisible();
  await page.getByRole("button", { name: "Not on this day" }).click();
  await expect(note(page)).toContainText("Courgette, striped not");
  const mark = row(page, "courgette-striped").getByRole("button", { name: /ruled out\. Allow it again/ });
  await mark.click();
  await expect(mark).toHaveCount(0);
  await expect(row(page, "courgette-striped").locator(".pick").first()).toHaveAttribute("aria-label", label);
});

test(
  "the planner in the page works out the very plan that the server shows",
  { tag: "@table" },
  async ({ page, readDemo }) => {
    await opened(page, readDemo.url);
    const sheet = (await (await page.request.get(`${readDemo.url}/plan.json`)).json()) as { plan: { picks: object; worth: number } }; // prettier-ignore
    const [planner] = page.workers();
    await expect.poll(() => planner!.evaluate(() => (self as unknown as { planHere: () => unknown }).planHere()), { timeout: 15_000 }).toEqual({ picks: sheet.plan.picks, worth: sheet.plan.worth }); // prettier-ignore
  },
);
