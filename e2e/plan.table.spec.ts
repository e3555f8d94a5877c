import type { Page } from "@playwright/test";
import { expect, test } from "./gardener";

/** Names of all planned picks on the horizon: "Courgette, We 23: 2 courgettes. Why this day?" */
const planned = (page: Page) =>
  page
    .locator("main section button[aria-label$='Why this day?']")
    .evaluateAll((all) => all.map((b) => b.getAttribute("aria-label") ?? ""));

test("a trip added on Sky & away takes the picks off its days; removing it brings them back", async ({
  page,
  demo,
}) => {
  await page.goto(demo.url);
  const before = await planned(page);
  expect(before.some((l) => l.includes("We 23"))).toBe(true);
  await page.goto(`${demo.url}/sky`);
  await page.getByLabel("Trip", { exact: true }).fill("Two days at the fair");
  await page.getByLabel("First day away", { exact: true }).fill("2026-09-22");
  await page.getByLabel("Last day away", { exact: true }).fill("2026-09-23");
  await page.getByRole("button", { name: "Add the trip" }).click();
  await expect(page.getByText(/the plan works round it/)).toBeVisible();
  await page.goto(demo.url);
  const away = await planned(page);
  expect(away.length).toBeGreaterThan(5);
  expect(away.some((l) => l.includes("Tu 22") || l.includes("We 23"))).toBe(false);
  await page.goto(`${demo.url}/sky`);
  await page.getByRole("button", { name: "Remove Two days at the fair" }).click();
  await expect(page.getByText("Trip removed.")).toBeVisible();
  await page.goto(demo.url);
  // They come back; a pick that may as well stay where it went may stay there.
  const onTheDays = (labels: string[]) => labels.filter((l) => l.includes("Tu 22") || l.includes("We 23")).length;
  const back = await planned(page);
  expect(onTheDays(back)).toBeGreaterThanOrEqual(Math.ceil(onTheDays(before) / 2));
  expect(back.length).toBeGreaterThanOrEqual(before.length - 3);
});

test("no minutes at all leaves no picks, and says what is lost; minutes given back bring them back", async ({
  page,
  demo,
}) => {
  await page.goto(`${demo.url}/sky`);
  for (const day of ["Mon", "Tue", "Wed", "Thu", "Fri", "Sat", "Sun"])
    for (const slot of ["cool morning", "midday", "evening"]) await page.getByLabel(`${day}, ${slot}`).fill("0");
  await page.getByRole("button", { name: "Save the week" }).click();
  await expect(page.getByText(/the plan is made anew/)).toBeVisible();
  await page.goto(demo.url);
  expect(await planned(page)).toEqual([]);
  await expect(page.getByText("Nothing to pick is planned in the next two weeks.")).toBeVisible();
  await page.goto(`${demo.url}/sky`);
  await page.getByLabel("Sat, evening").fill("60");
  await page.getByRole("button", { name: "Save the week" }).click();
  await expect(page.getByText(/the plan is made anew/)).toBeVisible();
  await page.goto(demo.url);
  const saturdays = await planned(page);
  expect(saturdays.length).toBeGreaterThan(0);
  expect(saturdays.every((l) => l.includes("Sa 19"))).toBe(true);
});

test("a cue that says past its best turns the row, the sentences and the round at once", async ({ page, demo }) => {
  await page.goto(`${demo.url}/check/cucumber-late`);
  await page.getByRole("button", { name: /a forearm/ }).click();
  await expect(page.getByTestId("verdict")).toContainText("goes on cropping");
  await page.goto(demo.url);
  await expect(page.locator("a[href='/check/cucumber-late']").filter({ hasText: "over: take it off" })).toBeVisible();
  await page.goto(`${demo.url}/round`);
  await expect(page.getByText("Cucumber, late").first()).toBeVisible();
});

test("one round a week and a day asked for: the plan keeps both, and says of a day away that it cannot be", async ({
  page,
  demo,
}) => {
  await page.goto(`${demo.url}/sky`);
  await page.getByLabel("Rounds a week").fill("1");
  await page.getByRole("button", { name: "Save the limits" }).click();
  await expect(page.getByText("Saved; the plan is made anew.")).toBeVisible();
  await page.goto(`${demo.url}/plantings/bean-green`);
  for (const [day, words] of [
    ["2026-09-22", "in the plan"],
    ["2026-09-27", "cannot be: nobody has a free minute then"],
  ] as const) {
    await page.getByLabel("Pick it on").fill(day);
    await page.getByRole("button", { name: "Ask for this day" }).press("Enter");
    await expect(page.getByText(words)).toBeVisible();
  }
  await page.goto(demo.url);
  await expect(page.getByText(/You asked for French bean.* Sun 27 Sep; it cannot be/)).toBeVisible();
  const week = (await planned(page)).filter((l) => /, (Mo 21|Tu 22|We 23|Th 24|Fr 25|Sa 26|Su 27):/.test(l));
  expect(week.length).toBeGreaterThan(1);
  expect(week.every((l) => l.includes("Tu 22"))).toBe(true);
});
