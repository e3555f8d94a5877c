import { expect, test } from "./gardener";

test("field notes: search a cue, change a value, choose a school, write a variety, add a crop; the check follows", async ({
  page,
  demo,
}) => {
  await page.goto(`${demo.url}/notes`);
  await page.getByLabel("Search crops, cues and cautions").fill("full curl");
  await page.getByRole("button", { name: "Search" }).click();
  await expect(page.getByText(/1 crop speak/)).toBeVisible();
  await page.getByRole("link", { name: "Garlic scape" }).click();
  await expect(page.getByRole("heading", { level: 1, name: "Garlic scape" })).toBeVisible();
  await expect(page.getByText("one full curl:")).toBeVisible();

  // A value typed wrong is answered and kept; put right, it holds in the check.
  await page.goto(`${demo.url}/notes/courgette`);
  await page.locator("summary", { hasText: "Days and sizes" }).click();
  await page.locator("summary", { hasText: "Stays good for" }).click();
  const yours = page.getByLabel("Yours (days)").locator("visible=true");
  await yours.fill("soon");
  await page.getByRole("button", { name: "Save" }).locator("visible=true").click();
  await expect(page.getByText(/“soon” is not a number/)).toBeVisible();
  await yours.fill("4");
  await page.getByRole("button", { name: "Save" }).locator("visible=true").click();
  await expect(page.getByText("this household").first()).toBeVisible();
  await page.getByRole("button", { name: "200–250 mm" }).click();
  await expect(page.getByRole("button", { name: /200–250 mm/ })).toHaveAttribute("aria-pressed", "true");
  await page.goto(`${demo.url}/check/courgette-pale`);
  await page.locator("summary", { hasText: "Why?" }).click();
  await expect(page.getByText("4 days").first()).toBeVisible();

  // A variety, and a crop of one's own.
  await page.goto(`${demo.url}/notes/carrot`);
  await page.locator("summary", { hasText: "Write down a variety" }).click();
  await page.getByRole("button", { name: "Write it down" }).click();
  await expect(page.getByText("Give the variety its name.")).toBeVisible();
  await page.getByLabel("Variety", { exact: true }).fill("Round");
  await page.getByLabel("Size from (mm)").fill("30");
  await page.getByLabel("to (mm)").fill("45");
  await page.getByRole("button", { name: "Write it down" }).click();
  await expect(page.getByText("30 mm to 45 mm")).toBeVisible();
  await page.goto(`${demo.url}/notes`);
  await page.locator("summary", { hasText: "Add a crop of your own" }).click();
  await page.getByLabel("Name", { exact: true }).fill("Oca");
  await page.getByLabel("Most like").selectOption({ label: "Potato, maincrop" });
  await page.getByLabel("Days to first pick, from").fill("210");
  await page.getByLabel("to", { exact: true }).fill("180");
  await page.getByRole("button", { name: "Add the crop" }).click();
  await expect(page.getByText("The later day is before the earlier one.")).toBeVisible();
  await expect(page.getByLabel("Name", { exact: true })).toHaveValue("Oca");
  await page.getByLabel("to", { exact: true }).fill("230");
  await page.getByRole("button", { name: "Add the crop" }).click();
  await expect(page.getByRole("heading", { level: 1, name: "Oca" })).toBeVisible();
});

test("a size measured by steps moves the verdict and tells the growth; a sheet prints without buttons", async ({
  page,
  demo,
}) => {
  await page.goto(`${demo.url}/check/courgette-pale`);
  await expect(page.getByText(/a day at its own pace/)).toBeVisible();
  await page.locator("summary", { hasText: "Measure it" }).first().click();
  const slider = page.getByRole("slider", { name: "How long is the longest?" });
  await slider.fill("320");
  await expect(page.getByRole("img", { name: /320 mm, beside a forearm/ })).toBeVisible();
  await page.getByRole("button", { name: "Smaller" }).click();
  await page.getByRole("button", { name: "It is 315 mm" }).click();
  await expect(page.getByTestId("verdict")).toHaveText(/Past its best/);
  await page.locator("summary", { hasText: "Why?" }).click();
  await expect(page.getByText("“315 mm”, today")).toBeVisible();

  await page.goto(`${demo.url}/notes/sheets`);
  await expect(page.getByRole("article")).toHaveCount(12);
  await page.emulateMedia({ media: "print" });
  await expect(page.getByRole("button", { name: "Print" })).toBeHidden();
  await expect(page.getByRole("heading", { name: "Courgette" })).toBeVisible();
  const paper = (await page.pdf({ format: "A4" })).toString("latin1");
  expect(paper.match(/\/Type\s*\/Page\b/g)).toHaveLength(12);
});
