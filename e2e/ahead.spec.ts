import { extractText, getDocumentProxy } from "unpdf";
import type { Page } from "@playwright/test";
import { expect, test } from "./gardener";

/** The text of a page as it is printed, and on how many sheets. */
async function printed(page: Page): Promise<{ text: string; sheets: number }> {
  await page.emulateMedia({ media: "print" });
  const paper = await page.pdf({ format: "A4", margin: { top: "12mm", bottom: "12mm", left: "12mm", right: "12mm" } });
  await page.emulateMedia({ media: "screen" });
  const { text, totalPages } = await extractText(await getDocumentProxy(new Uint8Array(paper)), { mergePages: true });
  return { text: text.replace(/\s+/g, " "), sheets: totalPages };
}

test("before the frost: from the Horizon, a cover noted, the sheet printed and its text read", async ({ page, demo }) => {
  await page.goto(demo.url);
  await page.getByRole("link", { name: "Before the frost" }).click();
  await expect(page.getByRole("heading", { level: 1, name: "Before the frost" })).toBeVisible();
  const take = page.getByRole("region", { name: "Take", exact: true });
  const names = await take.getByRole("listitem").getByRole("link").allInnerTexts();
  expect(names.length).toBeGreaterThan(5);
  await page.getByRole("button", { name: "We cover it" }).first().click();
  await expect(page.getByRole("button", { name: "Not covered after all" })).toBeVisible();
  await expect(page.getByText("So it is").first()).toBeVisible({ timeout: 30_000 });
  const { text, sheets } = await printed(page);
  expect(text).toContain("Before the frost");
  for (const name of names) expect(text).toContain(name);
  for (const part of ["Cover, bring in, make ready", "Lost all the same", "Stays out, and why", "What more hands would bring"]) expect(text).toContain(part);
  expect(text).toContain("off by mid-morning");
  expect(text).not.toMatch(/We cover it|So it is|Next day/);
  expect(sheets).toBeLessThanOrEqual(3);
}); // prettier-ignore

test(
  "before going away: a helper is noted, and the helper’s sheet has the visits, the cues and what to leave",
  { tag: "@table" },
  async ({ page, demo }) => {
    await page.goto(`${demo.url}/before/away`);
    await expect(page.getByText("Nobody comes.")).toBeVisible();
    await expect(page.getByText(/the days away cost/)).toBeVisible({ timeout: 30_000 });
    await page.goto(`${demo.url}/sky`);
    await page.locator("summary", { hasText: "Ask somebody" }).click();
    await page.getByLabel("Who", { exact: true }).fill("Mara");
    await page.getByLabel("Minutes", { exact: true }).fill("45");
    await page.getByRole("button", { name: "Save the helper" }).click();
    await expect(page.getByText("Mara stands in while you are away.")).toBeVisible();
    await page.goto(`${demo.url}/before/away`);
    await expect(page.getByRole("heading", { name: "Mara picks" })).toBeVisible();
    await page.getByRole("link", { name: "The helper’s sheet" }).click();
    await expect(page.getByRole("heading", { level: 1, name: "For Mara" })).toBeVisible();
    const { text, sheets } = await printed(page);
    for (const words of ["For Mara", "Please come", "How:", "Where to:", "Take:", "Leave:", "Please leave these alone"]) expect(text).toContain(words); // prettier-ignore
    expect(sheets).toBeLessThanOrEqual(2);
  },
);

test(
  "back from ten days away: what comes off, what is stripped and what keeps, with the weather of the days between",
  { tag: "@table" },
  async ({ page, demo }) => {
    await page.goto(`${demo.url}/sky`);
    await page.getByRole("button", { name: /^Remove Five days/ }).click();
    await expect(page.getByText("Trip removed.")).toBeVisible();
    await page.getByLabel("Trip", { exact: true }).fill("Ten days by the lake");
    await page.getByLabel("First day away", { exact: true }).fill("2026-09-20");
    await page.getByLabel("Last day away", { exact: true }).fill("2026-09-29");
    await page.getByRole("button", { name: "Add the trip" }).click();
    await expect(page.getByText(/the plan works round it/)).toBeVisible();
    await page.goto(`${demo.url}/back`);
    await expect(page.getByText("No trip has ended in these days.")).toBeVisible();
    for (let n = 0; n < 11; n++) {
      await page.getByRole("button", { name: "Next day" }).click();
      await page.waitForLoadState("networkidle");
    }
    await page.goto(demo.url);
    await page.getByRole("link", { name: "Back again" }).click();
    await expect(page.getByText(/10 days away, back since yesterday/)).toBeVisible();
    await expect(page.getByText(/Meanwhile/)).toBeVisible();
    await expect(page.getByRole("region", { name: "Keeps" })).toBeVisible();
    const groups = await page.locator("main section h2").allInnerTexts();
    const order = ["Off first", "Strip", "Take", "Look first", "Keeps"];
    expect(groups).toEqual(order.filter((g) => groups.includes(g)));
    expect(groups.length).toBeGreaterThan(2);
  },
);

test("the plan on paper: every round, bed and job of the Horizon, in black on one or two sheets", { tag: "@table" }, async ({ page, readDemo }) => {
  await page.goto(readDemo.url);
  await page.getByRole("link", { name: "The plan on paper" }).click();
  await expect(page.getByRole("heading", { level: 1, name: "The plan on paper" })).toBeVisible();
  const days = await page.getByRole("heading", { level: 2 }).allInnerTexts();
  const lines = await page.getByRole("main").getByRole("listitem").allInnerTexts();
  expect(days.length).toBeGreaterThan(3);
  expect(lines.some((line) => /Cut the tops/.test(line))).toBe(true);
  const { text, sheets } = await printed(page);
  for (const words of [...days, ...lines]) expect(text).toContain(words.replace(/\s+/g, " ").trim());
  expect(text).not.toMatch(/Next day|Horizon/);
  expect(sheets).toBeLessThanOrEqual(2);
}); // prettier-ignore
