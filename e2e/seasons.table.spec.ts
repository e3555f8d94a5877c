import { expect, test } from "./gardener";

test("all of it: a further crate, the plants' next crop, a slip taken back, undo, and the end", async ({
  page,
  demo,
}) => {
  await page.goto(`${demo.url}/beds`);
  const bed = page.getByRole("region", { name: "Low bed" });
  await bed.getByLabel("Add a planting to Low bed").fill("6 cabbage, planted 3 May");
  await bed.getByRole("button", { name: "Read it" }).click();
  await bed.getByRole("button", { name: "Add it" }).click();
  await page.getByRole("link", { name: /6 Cabbage/ }).click();
  const panel = page.getByRole("region", { name: "Log a pick" });
  const verdict = page.getByTestId("verdict");
  await panel.getByRole("textbox", { name: /^How many / }).fill("6");
  await panel.getByRole("button", { name: /^Picked, all/ }).click();
  const ended = page.getByTestId("ended");
  await expect(ended).toContainText("All of it was taken on 19 Sep. 6 heads.");

  await page.getByRole("button", { name: "A further crate" }).click();
  await panel.getByRole("textbox", { name: /^How many / }).fill("2");
  await panel.getByRole("button", { name: /^Picked, all/ }).click();
  await expect(panel.getByText(/in the ledger/)).toBeVisible();

  await page.getByRole("button", { name: "It grows again from the stump" }).click();
  await expect(verdict).toBeVisible();
  await page
    .getByRole("link", { name: /change/i })
    .first()
    .click();
  await expect(page.getByText(/^Regrowth, /)).toBeVisible();
  await page.getByRole("button", { name: "It did not go on" }).click();
  await expect(ended).toContainText("All of it was taken");

  await page.getByRole("button", { name: "Undo" }).first().click();
  await expect(verdict).toBeVisible();
  await page
    .getByRole("link", { name: /change/i })
    .first()
    .click();
  await page.getByRole("button", { name: "Finished, bed is free" }).click();
  await expect(page).toHaveURL(/beds/);
  await page.goBack();
  await page.goBack();
  await page.reload();
  await expect(ended).toContainText("Finished on 19 Sep; the bed is free.");
});

test("a planting typed as another crop is put right, its start made vague, and its record stays", async ({
  page,
  demo,
}) => {
  await page.goto(`${demo.url}/plantings/carrot-main`);
  await page.locator("summary", { hasText: "Change what is known of it" }).click();
  await page.getByLabel("Crop").selectOption({ label: "Parsnip" });
  await page.getByRole("button", { name: "Save" }).click();
  await expect(page).toHaveURL(/check\/carrot-main/);
  await expect(page.getByRole("heading", { level: 1 })).toContainText("Parsnip");
});

test("a crate is weighed later, split and eaten from; what is spoilt stands apart in the totals", async ({
  page,
  demo,
}) => {
  await page.goto(`${demo.url}/check/courgette-striped`, { waitUntil: "networkidle" });
  const panel = page.getByRole("region", { name: "Log a pick" });
  await panel.getByRole("textbox", { name: /^How many / }).fill("6");
  await panel.getByRole("button", { name: /^Picked, all/ }).click();
  await expect(panel.getByText(/in the ledger/)).toBeVisible();
  await page.goto(`${demo.url}/ledger`);
  await page.locator("tbody tr", { hasText: "Sat 19 Sep" }).getByRole("link").first().click();
  await page.getByText("Weigh it now").click();
  await page.getByLabel("Weight on the scale").fill("1.8 kg");
  await page.getByRole("button", { name: "It weighs this" }).click();
  await expect(page.getByText(/Weighed: .*1\.8 kg/)).toBeVisible();
});
