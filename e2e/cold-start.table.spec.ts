import { expect, test } from "./gardener";

test("a page opened before the first plan of a start stands, says so, and opens by itself once the plan is there", async ({
  page,
  demo,
}) => {
  await demo.stop();
  await demo.start({ cold: true });
  const answer = await page.goto(`${demo.url}/round`);
  expect(answer!.status()).toBe(202);
  expect(await answer!.text()).toContain("This page opens by itself");
  await expect(page.getByRole("heading", { name: /’s round$/ })).toBeVisible({ timeout: 30_000 });
  await expect(page.getByText("This page opens by itself")).toBeHidden();
  expect((await page.reload())!.status()).toBe(200);
});
