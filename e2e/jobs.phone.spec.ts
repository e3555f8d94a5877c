import { expect, test } from "./gardener";

test("a job beside picking is ticked, taken back and left out on the Horizon, and gone from the round", async ({
  page,
  demo,
}) => {
  await page.goto(demo.url);
  // The paragraph stands beside the board at the table, above it on the phone.
  const part = page.getByRole("complementary", { name: "The garden in words" }).filter({ visible: true });
  const all = part.getByRole("listitem").filter({ has: page.getByRole("button", { name: "Done", exact: true }) });
  const jobs = all.filter({ hasNotText: "Look again" });
  const before = await jobs.count();
  expect(before).toBeGreaterThan(0);
  const lead = (await jobs.first().locator("strong").nth(1).innerText()).trim();
  await jobs.first().getByRole("button", { name: "Done", exact: true }).click();
  await expect(part.getByText(`Done: ${lead}`)).toBeVisible();
  await expect(jobs).toHaveCount(before - 1);
  await part.getByRole("button", { name: "Take it back" }).click();
  await expect(jobs).toHaveCount(before);
  await jobs.filter({ hasText: lead }).getByRole("button", { name: "Leave it out" }).click();
  await expect(part.getByText(`Left out: ${lead}`)).toBeVisible();
  await page.goto(`${demo.url}/round`);
  await expect(page.getByRole("heading", { level: 1 })).toContainText(/round/);
  await expect(page.getByText(lead)).toHaveCount(0);
  // Looks are ticked as one, and asked for again on a later day.
  await page.goto(demo.url);
  const looks = all.filter({ hasText: "Look again" });
  const asked = (await looks.first().locator("strong").nth(1).innerText()).trim();
  await looks.first().getByRole("button", { name: "Done", exact: true }).click();
  await expect(part.getByText(`Done: ${asked}`)).toBeVisible();
  await expect(looks.filter({ hasText: asked })).toHaveCount(0);
  await page.getByRole("button", { name: "Undo" }).click();
  await expect(looks.filter({ hasText: asked.slice(0, asked.indexOf(";")) })).toBeVisible();
});
