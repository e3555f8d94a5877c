import { expect, test } from "./gardener";

test("by keyboard alone: from the horizon to a look and a logged pick", async ({ page, demo }) => {
  await page.goto(`${demo.url}/check/courgette-striped`, { waitUntil: "networkidle" });
  const pressUntil = async (name: RegExp) => {
    for (let i = 0; i < 60; i++) {
      await page.keyboard.press("Tab");
      const focused = await page.evaluate(
        () => document.activeElement?.getAttribute("aria-label") ?? document.activeElement?.textContent ?? "",
      );
      if (name.test(focused)) return;
    }
    throw new Error(`${name} was not reached by Tab`);
  };
  await page.keyboard.press("Tab");
  await expect(page.getByRole("link", { name: "Skip to the content" })).toBeFocused();
  await page.keyboard.press("Enter");
  await pressUntil(/hand and a half/);
  await page.keyboard.press("Space");
  await expect(page.getByRole("button", { name: /hand and a half/ })).toHaveAttribute("aria-pressed", "true");
  await expect(page.getByTestId("verdict")).toContainText("Ready");
  await pressUntil(/^Picked, all ready ones/);
  await page.keyboard.press("Enter");
  await expect(page.getByText(/in the ledger/)).toBeVisible();
});
