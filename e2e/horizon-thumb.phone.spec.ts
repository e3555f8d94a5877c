import { expect, test } from "./gardener";

test("a thumb along the row moves the pick and reads its cost; a thumb up and down scrolls the page", async ({
  page,
  demo,
}) => {
  const planner = page.waitForEvent("worker");
  await page.goto(demo.url, { waitUntil: "networkidle" });
  await planner;
  const thumb = await page.context().newCDPSession(page);
  const touch = (type: "touchStart" | "touchMove" | "touchEnd", at?: [number, number]) => thumb.send("Input.dispatchTouchEvent", { type, touchPoints: at ? [{ x: at[0], y: at[1] }] : [] }); // prettier-ignore
  const swipe = async (from: [number, number], by: [number, number]) => {
    await touch("touchStart", from);
    for (let n = 1; n <= 10; n++) {
      await touch("touchMove", [from[0] + (by[0] * n) / 10, from[1] + (by[1] * n) / 10]);
      await page.waitForTimeout(16);
    }
  };
  const handle = page.locator('[data-row="courgette-striped"] .pick').first();
  await handle.evaluate((el) => el.scrollIntoView({ block: "center" }));
  const middle = async (): Promise<[number, number]> => {
    const box = (await handle.boundingBox())!;
    return [box.x + box.width / 2, box.y + box.height / 2];
  };
  const label = await handle.getAttribute("aria-label");
  const card = page.getByRole("status", { name: "What it costs" });
  const before = await page.evaluate(() => window.scrollY);
  await swipe(await middle(), [0, -200]);
  await touch("touchEnd");
  await expect.poll(() => page.evaluate(() => window.scrollY)).toBeGreaterThan(before + 80);
  await expect(card).toHaveCount(0);
  // The page glides on for a while.
  await page.waitForTimeout(1200);
  await handle.evaluate((el) => el.scrollIntoView({ block: "center" }));
  const [, height] = await middle();
  await swipe(await middle(), [60, 6]);
  await expect(card).toContainText(/Courgette, striped to .. \d+: (costs|makes no odds|does better)/);
  expect(Math.abs((await middle())[1] - height)).toBeLessThan(4);
  const saved = page.waitForResponse((r) => r.request().method() === "POST");
  await touch("touchEnd");
  await saved;
  await expect(page.locator('[data-row="courgette-striped"]').getByRole("button", { name: /You asked for it/ })).toBeVisible(); // prettier-ignore
  await expect(handle).not.toHaveAttribute("aria-label", label!);
});
