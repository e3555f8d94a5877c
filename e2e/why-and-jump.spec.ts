import { expect, test } from "./gardener";

test("why this day: the reasons, the days drawn with their crowd, and what a day either way costs once both are solved", async ({
  page,
  readDemo,
}) => {
  await page.goto(readDemo.url);
  const pick = page.locator('main section button[aria-label^="Courgette,"][aria-label$="Why this day?"]').first();
  await pick.click();
  const card = page.getByRole("dialog");
  await expect(card.getByText(/^Why /)).toBeVisible();
  await expect(card.getByRole("img", { name: /Worth of a pick day by day, .*; hands that day: \d+ of \d+ minutes are planned/ })).toBeVisible(); // prettier-ignore
  // The planner in the page has asked both plans.
  await expect(card.getByText(/^A day (earlier|later): (costs .* worth, other picks moving with it|makes no odds|would do as well)\.$/).first()).toBeVisible({ timeout: 60_000 }); // prettier-ignore
  const box = (await card.boundingBox())!;
  const { width, height } = page.viewportSize()!;
  expect(box.x).toBeGreaterThanOrEqual(0);
  expect(box.x + box.width).toBeLessThanOrEqual(width);
  expect(box.y + box.height).toBeLessThanOrEqual(height + 1);
  await page.keyboard.press("Escape");
});

test(
  "Ctrl K goes to any planting, bed or act from any page, by keys alone; without a match it says so",
  { tag: "@table" },
  async ({ page, readDemo }) => {
    await page.goto(`${readDemo.url}/ledger`);
    const field = page.getByRole("combobox", { name: "Go to a bed, a planting or an act" });
    // Keys are heard once the page has woken.
    await expect(async () => {
      await page.keyboard.press("Control+k");
      await expect(field).toBeFocused({ timeout: 3000 });
    }).toPass();
    await field.fill("golden");
    await expect(page.getByRole("option", { name: /^Beetroot, golden/ }).first()).toBeVisible();
    await page.keyboard.press("Enter");
    await expect(page).toHaveURL(/\/check\/beet/);
    await page.getByRole("button", { name: /^Go to/ }).click();
    await field.fill("qqqqq");
    await expect(page.getByText("Nothing here is called so.")).toBeVisible();
    await field.fill("what if");
    await page.keyboard.press("Enter");
    await expect(page).toHaveURL(/what-if/);
    await expect(page.getByRole("region", { name: "What if", exact: true })).toBeVisible();
  },
);

test("beds fold to a line, stay so after a reload, unfold while something is sought, and by keys", async ({
  page,
  readDemo,
}) => {
  await page.goto(readDemo.url);
  const bed = page.getByRole("region", { name: "Gate bed", exact: true });
  const rows = bed.locator(".planting");
  const count = await rows.count();
  expect(count).toBeGreaterThan(2);
  await bed.getByRole("button", { name: "Fold Gate bed" }).click();
  await expect(rows).toHaveCount(0);
  await expect(bed.getByText(new RegExp(`^${count} plantings · .*next pick`))).toBeVisible();
  await page.reload();
  await expect(rows).toHaveCount(0);
  await page.getByRole("searchbox", { name: "Find a bed or a planting" }).filter({ visible: true }).fill("golden");
  await expect(rows).toHaveCount(1);
  await page.keyboard.press("Escape");
  await expect(rows).toHaveCount(0);
  await bed.getByRole("button", { name: "Unfold Gate bed" }).focus();
  await page.keyboard.press("Enter");
  await expect(rows).toHaveCount(count);
});
