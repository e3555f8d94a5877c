import { expect, test } from "./gardener";

test("on the round every button is a thumb's size and every word at least 16 px where it matters", async ({
  page,
  demo,
}) => {
  await page.goto(demo.url);
  await page.getByRole("button", { name: /Start today’s round/ }).click();
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
