import { expect, test } from "./gardener";

test("on the round every button is a thumb's size and every word at least 16 px where it matters", async ({
  page,
  demo,
}) => {
  await page.goto(demo.url);
  await page.getByRole("button", { name: /^Start .*round/ }).click();
  await expect(page.getByText(/1 of \d+/)).toBeVisible();
  const main = page.locator("main");
  const targets = await main.locator("button:visible, summary:visible, input:visible").evaluateAll((all) =>
    all.map((el) => ({
      words: (el.getAttribute("aria-label") ?? el.textContent).slice(0, 40),
      step: el.closest("ol") !== null,
      height: el.getBoundingClientRect().height,
    })),
  );
  expect(targets.length).toBeGreaterThan(8);
  for (const { words, step, height } of targets) expect(height, words).toBeGreaterThanOrEqual(step ? 40 : 48);
  const small = await main
    .locator("button:visible")
    .evaluateAll((all) =>
      all.filter((el) => parseFloat(getComputedStyle(el).fontSize) < 16).map((el) => el.textContent),
    );
  expect(small).toEqual([]);
});

test("the sky by thumb: days pushed along, a bed covered, hours opened; nothing runs out of the window", async ({
  page,
  demo,
}) => {
  await page.goto(`${demo.url}/sky`);
  const strip = page.getByRole("region", { name: "The days ahead" });
  await strip.evaluate((el) => el.scrollTo({ left: 400 }));
  expect(await strip.evaluate((el) => el.scrollLeft)).toBeGreaterThan(100);
  const frost = page.getByRole("article", { name: /frost likely Wednesday night/i });
  await frost.getByRole("button", { name: "We cover it" }).first().tap();
  await expect(frost).toContainText("Covered that night");
  await strip.evaluate((el) => el.scrollTo({ left: 0 }));
  await page.getByRole("link", { name: "Hours of Sat 19 Sep" }).tap();
  await expect(page.getByRole("region", { name: "Hours of Sat 19 Sep" })).toContainText("light to work by");
  const [inner, full] = await page.evaluate(() => [window.innerWidth, document.documentElement.scrollWidth]);
  expect(full).toBeLessThanOrEqual(inner);
  const small = await page.locator("main button:visible, main summary:visible").evaluateAll((all) => all.map((el) => el.getBoundingClientRect().height)); // prettier-ignore
  for (const height of small) expect(height).toBeGreaterThanOrEqual(40);
});
