import type { Page } from "@playwright/test";
import { expect, test } from "./gardener";

/** Names of all planned picks on the horizon. */
const planned = (page: Page) =>
  page
    .locator("main section button[aria-label$='Why this day?']")
    .evaluateAll((all) => all.map((b) => b.getAttribute("aria-label") ?? ""));
const strip = (page: Page) => page.getByRole("region", { name: "What if" });
const outcome = (page: Page) => page.getByRole("status", { name: "What comes of it" });

async function suppose(page: Page, kind: string, fields: Record<string, string>) {
  await strip(page).getByLabel("What if …").selectOption({ label: kind });
  for (const [label, choice] of Object.entries(fields)) await strip(page).getByLabel(label, { exact: true }).selectOption({ label: choice }); // prettier-ignore
  await strip(page).getByRole("button", { name: "See" }).click();
  await expect(outcome(page)).toContainText(/All in all|makes no odds/, { timeout: 20_000 });
}

test("what if: a helper is tried and dropped, and the plan is as it was; kept, the plan is the one that was shown", async ({
  page,
  demo,
}) => {
  await page.goto(demo.url);
  const before = await planned(page);
  await page.getByRole("button", { name: "What if …" }).click();
  await suppose(page, "somebody helps", { "How long": "60 minutes", Day: "Mon 28 Sep" });
  await expect(outcome(page)).toContainText("All in all better");
  await expect(strip(page).getByRole("button", { name: /1 hour of help Mon 28 Sep/ })).toBeVisible();
  // The plan beside the old one: dashed where a pick would be.
  const dashed = page.locator(".pick-comes");
  await expect(dashed.first()).toBeAttached();
  await strip(page).getByRole("button", { name: "Drop it" }).click();
  await expect(dashed).toHaveCount(0);
  expect(await planned(page)).toEqual(before);
  await suppose(page, "somebody helps", { "How long": "60 minutes", Day: "Mon 28 Sep" });
  const said = await outcome(page).innerText();
  await strip(page).getByRole("button", { name: "Keep it so" }).click();
  await expect(page.getByText(/^Kept: 1 hour of help Mon 28 Sep/)).toBeVisible();
  await expect.poll(async () => (await planned(page)).filter((l) => l.includes("Mo 28")).length).toBeGreaterThan(0);
  expect(said).toMatch(/28 Sep/);
});

test(
  "what if it gets colder: what is lost is told, and the weather is not to be kept; a second one comes on top",
  { tag: "@table" },
  async ({ page, demo }) => {
    await page.goto(demo.url);
    await page.getByRole("button", { name: "What if …" }).click();
    await suppose(page, "it gets colder than told", { By: "3 °C colder" });
    await expect(outcome(page)).toContainText("All in all worse");
    await expect(strip(page).getByText("The weather cannot be kept")).toBeVisible();
    await expect(strip(page).getByRole("button", { name: "Keep it so" })).toHaveCount(0);
    await suppose(page, "we have more time", { "How much": "60 minutes", Day: "tomorrow" });
    await expect(strip(page).getByRole("button", { name: /colder|more minutes/ })).toHaveCount(2);
    await expect(strip(page).getByRole("button", { name: "Keep it so" })).toBeVisible();
    // One of the two is left out again.
    await strip(page).getByRole("button", { name: /colder/ }).click(); // prettier-ignore
    await expect(strip(page).getByRole("button", { name: /colder/ })).toHaveCount(0);
    await expect(outcome(page)).toContainText(/All in all better|makes no odds/, { timeout: 20_000 });
  },
);

test("what if by keyboard alone: opened, asked and dropped", { tag: "@table" }, async ({ page, demo }) => {
  await page.goto(demo.url);
  const open = page.getByRole("button", { name: "What if …" });
  await open.focus();
  await page.keyboard.press("Enter");
  await expect(strip(page)).toBeVisible();
  await page.keyboard.press("Tab");
  while (!(await strip(page).getByLabel("What if …").evaluate((el) => el === document.activeElement))) await page.keyboard.press("Tab"); // prettier-ignore
  for (let k = 0; k < 3; k++) await page.keyboard.press("Tab");
  await expect(strip(page).getByRole("button", { name: "See" })).toBeFocused();
  await page.keyboard.press("Enter");
  await expect(outcome(page)).toContainText(/All in all|makes no odds/, { timeout: 20_000 });
  await strip(page).getByRole("button", { name: "Drop it" }).focus();
  await page.keyboard.press("Enter");
  await expect(outcome(page)).toHaveCount(0);
});
