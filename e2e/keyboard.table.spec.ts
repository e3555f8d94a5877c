import type { Page } from "@playwright/test";
import { expect, test } from "./gardener";

test("by keyboard alone: from the horizon to a look and a logged pick", async ({ page, demo }) => {
  await page.goto(`${demo.url}/check/courgette-striped`, { waitUntil: "networkidle" });
  const pressUntil = async (name: RegExp) => {
    for (let i = 0; i < 60; i++) {
      await page.keyboard.press("Tab");
      const focused = await page.evaluate(
        () => document.activeElement?.getAttribute("aria-label") ?? document.activeElement?.textContent ?? "",
      );
      if (name.test(focused)) return;
    }
    throw new Error(`${name} was not reached by Tab`);
  };
  await page.keyboard.press("Tab");
  await expect(page.getByRole("link", { name: "Skip to the content" })).toBeFocused();
  await page.keyboard.press("Enter");
  await pressUntil(/hand and a half/);
  await page.keyboard.press("Space");
  await expect(page.getByRole("button", { name: /hand and a half/ })).toHaveAttribute("aria-pressed", "true");
  await expect(page.getByTestId("verdict")).toContainText("Ready");
  await pressUntil(/^Picked, all ready ones/);
  await page.keyboard.press("Enter");
  await expect(page.getByText(/in the ledger/)).toBeVisible();
});

/** Presses Tab until the main act has the focus; how often. */
async function tabsTo(page: Page, name: RegExp): Promise<number> {
  for (let n = 0; n <= 10; n++) {
    const focused = await page.evaluate(() => document.activeElement?.textContent ?? "");
    if (name.test(focused) && focused.length < 60) return n;
    await page.keyboard.press("Tab");
  }
  return Infinity;
}

test("a whole round by keyboard alone: after the start, a cue, a pick and a stop the main act is within three tabs", async ({
  page,
  demo,
}) => {
  test.slow();
  await page.goto(`${demo.url}/round`, { waitUntil: "networkidle" });
  await page.getByRole("button", { name: /^Start the round/ }).focus();
  await page.keyboard.press("Enter");
  await expect(page.getByText(/^1 of \d+/)).toBeVisible();
  const stops = Number((await page.getByText(/^1 of \d+/).innerText()).match(/of (\d+)/)![1]);
  const panel = page.getByRole("region", { name: "Log a pick" });
  for (let stop = 1; stop <= stops; stop++) {
    await expect(page.getByText(new RegExp(`^${stop} of `))).toBeVisible();
    // What comes next is read out.
    await expect(page.getByText(new RegExp(`^Now .*, ${stop} out of ${stops}\\.`))).toBeAttached();
    await expect(panel).toBeFocused();
    const weighs = panel.getByRole("textbox", { name: "How much it weighs" });
    expect(await tabsTo(page, /^Picked, /)).toBeLessThanOrEqual(3);
    if (await weighs.isVisible()) {
      await weighs.focus();
      await page.keyboard.type("500 g");
      expect(await tabsTo(page, /^Picked, /)).toBeLessThanOrEqual(3);
    }
    await page.keyboard.press("Enter");
    await expect(panel.getByRole("button", { name: "Undo" })).toBeVisible();
    if (stop === stops) break;
    await expect(page.getByRole("button", { name: "Next →" })).toBeFocused();
    await page.keyboard.press("Enter");
  }
  expect(await tabsTo(page, /^Finish/)).toBeLessThanOrEqual(8);
  await page.keyboard.press("Enter");
  await expect(page).toHaveURL(/ledger/);
  await expect(page.locator("tbody tr", { hasText: "Sat 19 Sep" })).toHaveCount(stops);
});

test("a count goes up and down by the arrows", async ({ page, readDemo }) => {
  await page.goto(`${readDemo.url}/check/courgette-striped`, { waitUntil: "networkidle" });
  const count = page.getByRole("textbox", { name: /^How many / });
  await count.fill("3");
  await count.press("ArrowUp");
  await expect(count).toHaveValue("4");
  for (let n = 0; n < 6; n++) await count.press("ArrowDown");
  await expect(count).toHaveValue("0");
});

test("after a cue is answered the focus is still on it", async ({ page, demo }) => {
  await page.goto(`${demo.url}/check/courgette-striped`, { waitUntil: "networkidle" });
  const more = page.getByText(/More to look for/);
  if (await more.isVisible()) await more.click();
  // Of every cue, the ones that lead and the ones behind the fold.
  const cues = page.locator("fieldset");
  for (let n = 0; n < (await cues.count()); n++) {
    const answer = cues.nth(n).getByRole("button").first();
    const words = await answer.innerText();
    await answer.focus();
    await page.keyboard.press("Enter");
    await page.waitForTimeout(1500);
    expect(await page.evaluate(() => (document.activeElement as HTMLElement).innerText.replace("✓", "").trim())).toBe(words.trim()); // prettier-ignore
  }
});
