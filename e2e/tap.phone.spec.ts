import { expect, test } from "./gardener";

test("a tap moves the verdict before the server has answered, and its answer says the same", async ({ page, demo }) => {
  let release = () => {};
  const held = new Promise<void>((resolve) => (release = resolve));
  await page.route("**/entries", async (route) => {
    await held;
    await route.continue();
  });
  const sheet = page.waitForResponse((r) => r.url().endsWith("/check/cucumber-late/sheet"));
  await page.goto(`${demo.url}/check/cucumber-late`);
  expect((await sheet).status()).toBe(200);
  const verdict = page.getByTestId("verdict");
  const before = await verdict.innerText();
  await page.getByRole("button", { name: /a forearm/ }).click();
  await expect(verdict).not.toHaveText(before);
  const told = await verdict.innerText();
  expect(told).toContain("goes on cropping");
  const answered = page.waitForResponse((r) => r.url().endsWith("/entries"));
  release();
  await answered;
  await page.reload();
  await expect(verdict).toHaveText(told);
});

test("without signal a tap moves the verdict all the same, and is kept", async ({ page, context, demo }) => {
  const sheet = page.waitForResponse((r) => r.url().endsWith("/check/cucumber-late/sheet"));
  await page.goto(`${demo.url}/check/cucumber-late`);
  await (await sheet).finished();
  const verdict = page.getByTestId("verdict");
  await context.setOffline(true);
  await page.getByRole("button", { name: /a forearm/ }).click();
  await expect(verdict).toContainText("goes on cropping");
  await expect(page.getByText("No signal: the look is kept, and goes out when it is back.")).toBeVisible();
  await context.setOffline(false);
  await expect(page.getByText("No signal: the look is kept")).toBeHidden();
  await expect(verdict).toContainText("goes on cropping");
});
