import type { Browser, Page } from "@playwright/test";
import { expect, test } from "./gardener";

const panelOf = (page: Page) => page.getByRole("region", { name: "Log a pick" });
const picked = (page: Page) => panelOf(page).getByRole("button", { name: /^Picked/ });
const askedOf = (page: Page) => page.getByRole("group", { name: /^Logged from two phones/ });

/** A phone of its own, with nothing on it. */
async function phone(browser: Browser, serviceWorkers: "allow" | "block" = "block"): Promise<Page> {
  const context = await browser.newContext({ viewport: { width: 390, height: 844 }, hasTouch: true, locale: "en-GB", serviceWorkers }); // prettier-ignore
  return context.newPage();
}

test("two phones on one round see each other and what the other logged; one planting picked by both is asked about, and both stay in the ledger", async ({
  browser,
  demo,
}) => {
  test.slow();
  const [mara, ben] = [await phone(browser), await phone(browser)];
  await mara.goto(`${demo.url}/round`);
  await mara.getByRole("button", { name: /^Start the round/ }).click();
  await expect(mara.getByText(/^1 of \d+/)).toBeVisible();
  const first = await mara.getByRole("heading", { level: 1 }).innerText();
  await ben.goto(`${demo.url}/round`);
  await expect(ben.getByText("Another phone is here too: one of you logs it.")).toBeVisible();
  await expect(mara.getByText("Another phone is here too: one of you logs it.")).toBeVisible({ timeout: 90_000 });

  // Both log it all the same.
  await picked(mara).click();
  await picked(ben).click();
  await expect(mara.getByText(/in the ledger/)).toBeVisible();
  await expect(ben.getByText(/in the ledger/)).toBeVisible();
  await mara.getByRole("button", { name: "Next →" }).click();
  await expect(ben.getByText(/^Another phone is at /)).toBeVisible({ timeout: 90_000 });
  await expect(ben.getByText("Another phone is still out. Finished, it is over for all.")).toBeVisible();
  await expect(askedOf(ben)).toContainText(first, { timeout: 90_000 });
  await expect(askedOf(ben)).toContainText("Both count so far.");
  await askedOf(ben).getByRole("button", { name: "Two pickings" }).click();
  await expect(askedOf(ben)).toHaveCount(0);
  // Said on the one, asked on none.
  await mara.goto(`${demo.url}/ledger`);
  await expect(mara.locator("tbody tr", { hasText: "Sat 19 Sep" })).toHaveCount(2);
  await expect(askedOf(mara)).toHaveCount(0);
  // Off the walk, a phone is not among those who walk.
  await expect(ben.getByText(/^Another phone is at /)).toHaveCount(0, { timeout: 120_000 });

  // What Mara logs comes to Ben's walk by itself.
  await mara.goto(`${demo.url}/round`);
  await expect(mara.getByText(/^2 of \d+/)).toBeVisible();
  const second = await mara.getByRole("heading", { level: 1 }).innerText();
  await panelOf(mara).getByRole("button", { name: "Nothing ready" }).click();
  await expect(ben.getByRole("button", { name: new RegExp(`^${second}.*, done$`) }).first()).toBeVisible({ timeout: 120_000 }); // prettier-ignore
  for (const page of [mara, ben]) await page.context().close();
});

test("two phones that each began a round without signal: it is one round, with what both picked, and a double is asked about", async ({
  browser,
  demo,
}) => {
  test.slow();
  const phones = [await phone(browser, "allow"), await phone(browser, "allow")] as const;
  for (const page of phones) {
    await page.goto(`${demo.url}/round`);
    await expect(page.getByText(/^Kept · /)).toBeVisible({ timeout: 120_000 });
  }
  await demo.stop();
  const [mara, ben] = phones;
  for (const page of phones) {
    await page.goto(`${demo.url}/round`);
    await page.getByRole("button", { name: /^Start the round/ }).click();
    await expect(page.getByText(/^1 of \d+/)).toBeVisible();
  }
  // Both pick the first; Ben the second too.
  const first = await mara.getByRole("heading", { level: 1 }).innerText();
  for (const page of phones) {
    await picked(page).click();
    await expect(page.getByText(/kept on this phone, waits for signal/)).toBeVisible();
    await page.getByRole("button", { name: "Next →" }).click();
  }
  await panelOf(ben).getByRole("button", { name: "Nothing ready" }).click();
  await expect(ben.getByText(/kept on this phone, waits for signal/)).toBeVisible();

  await demo.start();
  for (const page of phones) await expect(page.getByText(/· all sent$/)).toBeVisible({ timeout: 120_000 });
  for (const page of phones) {
    await page.goto(`${demo.url}/round`);
    await expect(page.getByText(/^3 of \d+/)).toBeVisible();
  }
  await expect(askedOf(mara)).toContainText(first);
  await askedOf(mara).getByRole("button", { name: /^One/ }).first().click(); // prettier-ignore
  await expect(askedOf(mara)).toHaveCount(0);
  await mara.goto(`${demo.url}/ledger`);
  const today = mara.locator("tbody tr", { hasText: "Sat 19 Sep" });
  await expect(today.filter({ hasText: "nothing ready" })).toHaveCount(1);
  await expect(today.filter({ hasText: first })).toHaveCount(2);
  await expect(mara.locator("tbody tr[data-withdrawn]", { hasText: "Sat 19 Sep" })).toHaveCount(1);
  for (const page of phones) await page.context().close();
});
