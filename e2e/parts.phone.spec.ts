import { expect, test } from "./gardener";

test("three of forty onions bolted: they are told apart, the rest waits, and the mix can be taken back", async ({
  page,
  demo,
}) => {
  await page.goto(`${demo.url}/check/onion-brown`);
  const stalk = page.getByRole("button", { name: "a stalk or bud" });
  if (!(await stalk.isVisible())) await page.getByText(/^More to look for/).click();
  await stalk.click();
  // One tap speaks of the one that was looked at.
  await expect(page.getByText(/The one with “a stalk or bud”: it is bolting/)).toBeVisible();
  await page.getByRole("button", { name: "Not all of them?" }).click();
  await page.locator("fieldset").getByRole("button", { name: "a few", exact: true }).first().click();
  await expect(page.getByText(/The three with “a stalk or bud”.*The rest:|The three with “a stalk or bud”.*Leave the rest/)).toBeVisible(); // prettier-ignore
  await page.reload();
  await expect(page.getByText(/The three with “a stalk or bud”/)).toBeVisible();
  await page.getByRole("button", { name: "a stalk or bud" }).click();
  await expect(page.getByText(/with “a stalk or bud”:/)).toHaveCount(0);
});

test("a row told in metres on the planting's form is said so on the beds and its check", async ({ page, demo }) => {
  await page.goto(`${demo.url}/plantings/carrot-late`);
  await page.getByText("Change what is known of it").click();
  await page.getByLabel(/or row, metres/).fill("many");
  await page.getByRole("button", { name: "Save" }).click();
  await expect(page.getByText(/“many” is not a length of row/)).toBeVisible();
  await page.getByLabel(/or row, metres/).fill("4.5");
  await page.getByRole("button", { name: "Save" }).click();
  await expect(page).toHaveURL(/check|beds|plantings/);
  await page.goto(`${demo.url}/beds`);
  await expect(page.getByText(/4\.5 m of row,/)).toBeVisible();
  await page.goto(`${demo.url}/check/carrot-late`);
  await expect(page.getByText(/4\.5 m of row/)).toBeVisible();
});

test("onions that were lifted are asked for where they lie: cure on, three speared first, store once the necks are dry", async ({
  page,
  demo,
}) => {
  await page.goto(`${demo.url}/check/onion-red`);
  const panel = page.getByRole("region", { name: "Log a pick" });
  await panel.getByRole("textbox", { name: "How much it weighs" }).fill("6 kg");
  await panel.getByRole("button", { name: /^Picked, all/ }).click();
  const lifted = page.getByTestId("lifted");
  await expect(lifted).toContainText("Cure it on: one layer in shade");
  await page.getByRole("button", { name: "wet or milky where it was cut" }).click();
  await expect(lifted).toContainText("Look again Monday");
  const more = page.getByText(/^More to look for/);
  if (await more.isVisible()) await more.click();
  await page.getByRole("button", { name: "cut, speared or bruised" }).click();
  await expect(lifted).toContainText("The one with “cut, speared or bruised”: use it first");
  await page.getByRole("button", { name: "shrunk and tight, skins rustle" }).click();
  await expect(lifted).toContainText("Store the rest");
  // Undo makes it stand again.
  await page.getByRole("button", { name: "Undo" }).click();
  await expect(page.getByTestId("verdict")).toBeVisible();
});
